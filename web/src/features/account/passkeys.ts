import { texts } from './texts'

/** What a browser has for passkeys, in the JSON that the server speaks. */

/** A passkey is bound to a name, and this page was reached by a number. */
const numbered = (host: string) => /^[\d.]+$|:/.test(host)

/** Whether a device can be asked for a passkey here. */
export function passkeysWork(host = location.hostname): boolean {
  return (
    window.isSecureContext &&
    typeof PublicKeyCredential === 'function' &&
    typeof PublicKeyCredential.parseCreationOptionsFromJSON === 'function' &&
    !numbered(host)
  )
}

type Told = Record<string, unknown>

/** What came of asking a device; nothing if its person said no. */
async function answered(asking: Promise<Credential | null>): Promise<Told | undefined> {
  try {
    const credential = (await asking) as PublicKeyCredential | null
    return credential?.toJSON() as Told | undefined
  } catch (failure) {
    if (failure instanceof DOMException && ['NotAllowedError', 'AbortError'].includes(failure.name))
      return undefined
    throw failure
  }
}

/** Lets the device make a passkey. */
export const makePasskey = (options: Told) =>
  answered(
    navigator.credentials.create({
      publicKey: PublicKeyCredential.parseCreationOptionsFromJSON(
        options as unknown as PublicKeyCredentialCreationOptionsJSON,
      ),
    }),
  )

/** Lets the device show one. */
export const showPasskey = (options: Told) =>
  answered(
    navigator.credentials.get({
      publicKey: PublicKeyCredential.parseRequestOptionsFromJSON(
        options as unknown as PublicKeyCredentialRequestOptionsJSON,
      ),
    }),
  )

/** What a person might call this device. */
export function deviceName(agent = navigator.userAgent): string {
  const known: [RegExp, string][] = [
    [/iPhone/, 'iPhone'],
    [/iPad/, 'iPad'],
    [/Android/, texts.androidPhone],
    [/Macintosh/, 'Mac'],
    [/Windows/, texts.windowsComputer],
    [/Linux/, texts.linuxComputer],
  ]
  return known.find(([mark]) => mark.test(agent))?.[1] ?? texts.thisDevice
}
