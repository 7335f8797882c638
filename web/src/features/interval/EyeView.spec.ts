import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import EyeView from './EyeView.vue'

const PICTURES = [0.05, 0.09, 0.14, 0.2, 0.28, 0.38, 0.46, 0.56, 0.68, 0.82, 0.95, 1.2]

describe('twelve pictures', () => {
  it('are graded one at a time, sent together, and told what they moved', async () => {
    const answers: Record<string, unknown> = {
      'GET /api/eye': { pictures: PICTURES, offered: true, moved: [] },
      'PUT /api/eye': {
        pictures: PICTURES,
        offered: false,
        gradedOn: '2026-06-01',
        bias: 0.4,
        verdict: 'You see about 49 % more dirt than there is. Your grades are now read that way.',
        moved: [{ name: 'Open canister Weir', before: '2026-07-01', after: '2026-07-20' }],
      },
    }
    const asked = stubServer(answers)
    const { wrapper } = await mountView(EyeView)
    await settled()

    await wrapper.get('button').trigger('click')
    for (let picture = 0; picture < 12; picture++) {
      expect(wrapper.text()).toContain(`${String(picture + 1)} of 12`)
      await wrapper.findAll('.grades button')[1]?.trigger('click')
    }
    answers['GET /api/eye'] = answers['PUT /api/eye']
    await settled()

    const sent = asked.find(({ call }) => call === 'PUT /api/eye')
    expect(sent?.body).toEqual({ grades: Array<string>(12).fill('LIGHT') })
    expect(wrapper.text()).toContain('You see about 49 % more dirt')
    expect(wrapper.text()).toContain('Open canister Weir')
  })
})
