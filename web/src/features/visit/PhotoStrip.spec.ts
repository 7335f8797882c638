import { describe, expect, it } from 'vitest'
import { agree, mountView, refusal, settled, stubServer } from '@/testing/mounting'
import PhotoStrip from './PhotoStrip.vue'

const photo = (more: object) => ({
  id: '1',
  moment: 'BUILT',
  takenAt: '2026-11-25T10:00:00Z',
  takenBy: 'Marit',
  caption: '',
  ...more,
})

const buttons = (wrapper: { findAll: (css: string) => { text: () => string }[] }) =>
  wrapper.findAll('.el-button').map((button) => button.text())

describe('photos', () => {
  it('of a service are told apart by when they were taken', async () => {
    stubServer({
      'GET /api/services/s/photos': [photo({ moment: 'BEFORE' }), photo({ id: '2', moment: 'AFTER' })],
    })
    const { wrapper } = await mountView(PhotoStrip, { of: { service: 's' } })
    await settled()

    expect(wrapper.findAll('img').map((one) => one.attributes('alt'))).toEqual([
      'Before, Marit',
      'After, Marit',
    ])
    expect(buttons(wrapper)).toEqual(['×', '×', 'Photo before', 'Photo after'])
    expect(wrapper.find('[data-field=caption]').exists()).toBe(false)
  })

  it('of a filter say what they show', async () => {
    stubServer({ 'GET /api/filters/2/photos': [photo({ caption: 'Lever down' }), photo({ id: '2' })] })
    const { wrapper } = await mountView(PhotoStrip, { of: { filter: 2 } })
    await settled()

    expect(wrapper.findAll('img').map((one) => one.attributes('alt'))).toEqual([
      'Lever down',
      'As built, Marit',
    ])
    expect(buttons(wrapper)).toEqual(['×', '×', 'Add a photo'])
    expect(wrapper.find('[data-field=caption]').exists()).toBe(true)
  })

  it('are only looked at while hands are wet, and take no room where there are none', async () => {
    stubServer({ 'GET /api/filters/2/photos': [photo({ caption: 'Lever down' })] })
    const { wrapper } = await mountView(PhotoStrip, { of: { filter: 2 }, shownOnly: true })
    await settled()
    expect(wrapper.findAll('img')).toHaveLength(1)
    expect(buttons(wrapper)).toEqual([])

    stubServer({ 'GET /api/filters/3/photos': [] })
    const none = await mountView(PhotoStrip, { of: { filter: 3 }, shownOnly: true })
    await settled()
    expect(none.wrapper.find('section').exists()).toBe(false)
  })

  it('that cannot be deleted stay, and say why', async () => {
    stubServer({
      'GET /api/filters/2/photos': [photo({})],
      'DELETE /api/photos/1': refusal(403, { detail: 'Only who took it may delete it.' }),
    })
    const { wrapper } = await mountView(PhotoStrip, { of: { filter: 2 } })
    await settled()
    await wrapper.get('figure .el-button').trigger('click')
    await settled()
    await agree()
    await settled()

    expect(wrapper.findAll('img')).toHaveLength(1)
    expect(wrapper.get('[role=alert]').text()).toBe('Only who took it may delete it.')
  })
})
