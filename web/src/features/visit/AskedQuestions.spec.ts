import { describe, expect, it } from 'vitest'
import { mountView, settled, stubServer } from '@/testing/mounting'
import AskedQuestions from './AskedQuestions.vue'
import type { AskedQuestion } from './queries'

const QUESTION: AskedQuestion = {
  filterId: 4,
  filterName: 'Weir',
  asked: 'START',
  text: 'When was Weir last cleaned before this?',
  choices: [
    { answer: 'DAYS_90', words: 'About three months before' },
    { answer: 'UNKNOWN', words: 'Nobody knows' },
  ],
}

describe('a question after saving', () => {
  it('is answered in one tap', async () => {
    const saved = { service: { id: 's' }, moved: [], twins: [], questions: [] }
    const asked = stubServer({ 'PUT /api/services/s/answers': saved })
    const { wrapper } = await mountView(AskedQuestions, { service: 's', questions: [QUESTION] })

    expect(wrapper.text()).toContain('When was Weir last cleaned before this?')
    await wrapper.findAll('button')[0]?.trigger('click')
    await settled()

    expect(asked.find(({ call }) => call.startsWith('PUT'))?.body).toEqual({
      filterId: 4,
      asked: 'START',
      answer: 'DAYS_90',
    })
    expect(wrapper.findComponent(AskedQuestions).emitted('answered')).toEqual([[saved]])
  })
})
