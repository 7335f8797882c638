import { describe, expect, it, vi } from 'vitest'
import { mountView, refusal, settled, stubServer } from '@/testing/mounting'
import TankPauses from './TankPauses.vue'

const WEIR = { id: 5, name: 'Weir' }
const BROOK = { id: 6, name: 'Brook' }
const OPEN = { id: 'a', filterId: 5, cause: 'OFF', firstDay: '2026-11-01' }
const OVER = { id: 'b', cause: 'AWAY', firstDay: '2026-08-01', untilDay: '2026-08-15' }

async function open(stored: unknown, answers: Record<string, unknown> = {}, filters = [WEIR, BROOK]) {
  const asked = stubServer({ 'GET /api/tanks/3/pauses': stored, ...answers })
  const { wrapper } = await mountView(TankPauses, { tank: 3, filters })
  const press = async (words: string) => {
    await wrapper
      .findAll('button')
      .find((button) => button.text() === words)
      ?.trigger('click')
    await settled()
  }
  const submit = async () => {
    await wrapper.find('form').trigger('submit')
    await settled()
  }
  const sent = (method: string) => asked.filter(({ call }) => call.startsWith(method))
  return { wrapper, press, submit, sent }
}

describe('times off or away', () => {
  it('tells each with its filter and its days, the latest first', async () => {
    const { wrapper } = await open([OVER, OPEN])

    const rows = wrapper.findAll('li').map((row) => row.text())
    expect(rows[0]).toMatch(/^Weir: stood still from 1 Nov\s+on/)
    expect(rows[1]).toMatch(/^All filters: little was fed from 1 Aug\s+until 15 Aug/)
  })

  it('ends one that lasts from today on, and offers no end for one that is over', async () => {
    const { press, sent, wrapper } = await open([OPEN, OVER], { 'PUT /api/pauses/a/end': 204 })
    expect(wrapper.text().match(/As usual from today/g)).toHaveLength(1)

    await press('As usual from today')

    expect(sent('PUT')[0]?.call).toBe('PUT /api/pauses/a/end')
  })

  it('takes one out and offers to put it back', async () => {
    const { press, sent } = await open([OPEN], { 'DELETE /api/pauses/a': 204 })

    await press('Take out')

    expect(sent('DELETE')).toHaveLength(1)
  })

  it('sends no filter for all of them, and no end while nobody knows it', async () => {
    const { submit, sent } = await open([])

    await submit()

    expect(sent('PUT')[0]?.call).toMatch(/^PUT \/api\/tanks\/3\/pauses\//)
    expect(sent('PUT')[0]?.body).toMatchObject({ cause: 'OFF' })
    expect(sent('PUT')[0]?.body).not.toHaveProperty('filterId')
    expect(sent('PUT')[0]?.body).not.toHaveProperty('untilDay')
  })

  it('asks for a filter only where there are several', async () => {
    const { wrapper } = await open([], {}, [WEIR])

    expect(wrapper.find('[aria-label="Which filter"]').exists()).toBe(false)
  })

  it('minds what wet media needs before it runs again, and only where it stood still', async () => {
    const { wrapper } = await open([])
    expect(wrapper.text()).toContain('Wet media goes foul after about four hours without flow.')

    await wrapper.find('input[type=radio][value=AWAY]').setValue()
    await settled()

    expect(wrapper.text()).not.toContain('Wet media goes foul')
  })

  it('says at the field what the server refuses, and keeps what was typed', async () => {
    vi.spyOn(crypto, 'randomUUID').mockReturnValue('0-0-0-0-1')
    const errors = [{ field: 'untilDay', code: 'before-it-began', message: 'It cannot end before it began.' }]
    const { wrapper, submit } = await open([], {
      'PUT /api/tanks/3/pauses/0-0-0-0-1': refusal(422, { detail: 'No.', errors }),
    })
    await wrapper.find('[data-field=untilDay] input').setValue('2026-01-01')

    await submit()

    expect(wrapper.find('[data-field=untilDay]').text()).toContain('It cannot end before it began.')
    expect(wrapper.find<HTMLInputElement>('[data-field=untilDay] input').element.value).toBe('1/1/2026')
  })

  it('says when they could not be loaded', async () => {
    const { wrapper } = await open(500)

    expect(wrapper.text()).toContain('The pauses could not be loaded.')
  })
})
