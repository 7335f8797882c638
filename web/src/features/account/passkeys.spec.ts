import { afterEach, describe, expect, it, vi } from 'vitest'
import { deviceName, makePasskey, passkeysWork, showPasskey } from './passkeys'

class Key {
  static parseCreationOptionsFromJSON = (told: unknown) => told
  static parseRequestOptionsFromJSON = (told: unknown) => told
  toJSON = () => ({ id: 'abc' })
}

const device = (answer: () => Promise<unknown>) => {
  vi.stubGlobal('PublicKeyCredential', Key)
  vi.stubGlobal('isSecureContext', true)
  Object.defineProperty(navigator, 'credentials', {
    configurable: true,
    value: { create: answer, get: answer },
  })
}

afterEach(() => vi.unstubAllGlobals())

describe('passkeys', () => {
  it('are for names, since none is bound to a number', () => {
    device(() => Promise.resolve(null))

    expect(passkeysWork('localhost')).toBe(true)
    expect(passkeysWork('tanks.example.org')).toBe(true)
    expect(passkeysWork('192.168.1.20')).toBe(false)
    expect(passkeysWork('[fd00::1]')).toBe(false)
  })

  it('are not offered by a browser without them, or in the open', () => {
    vi.stubGlobal('isSecureContext', true)
    expect(passkeysWork('localhost')).toBe(false)
    device(() => Promise.resolve(null))
    vi.stubGlobal('isSecureContext', false)
    expect(passkeysWork('localhost')).toBe(false)
  })

  it('come as JSON, and as nothing where their person says no', async () => {
    device(() => Promise.resolve(new Key()))
    expect(await makePasskey({})).toEqual({ id: 'abc' })

    device(() => Promise.reject(new DOMException('no', 'NotAllowedError')))
    expect(await showPasskey({})).toBeUndefined()
  })

  it('say what went wrong otherwise', async () => {
    device(() => Promise.reject(new DOMException('wrong name', 'SecurityError')))

    await expect(showPasskey({})).rejects.toThrow('wrong name')
  })

  it('are called by the device they are on', () => {
    expect(deviceName('Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X)')).toBe('iPhone')
    expect(deviceName('something else')).toBe('This device')
  })
})
