import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import StoryChapters from './StoryChapters.vue'
import { mixed, reach, storyOption } from './story'
import type { Chapter } from './queries'

const overload = (likely: number) => ({ low: likely / 2, likely, high: likely * 2 })

function chapter(on: string, idealDays: number, more: Partial<Chapter> = {}): Chapter {
  return {
    on,
    event: 'SERVICE',
    title: 'Found light',
    since: on,
    idealDays,
    earliestDays: idealDays * 0.75,
    latestDays: idealDays * 1.2,
    window: { earliest: on, ideal: on, latest: on },
    overload: overload(idealDays * 1.5),
    reasons: [`because ${String(idealDays)}`],
    ...more,
  }
}

const STORY = [
  chapter('2026-01-01', 72, { event: 'START', title: 'Start' }),
  chapter('2026-03-17', 83, { finding: 'MODERATE', ranDays: 75, plannedDays: 72, flowPercent: 81.6 }),
  chapter('2026-04-02', 60, { event: 'CHANGE', title: 'Stocking raised' }),
  chapter('2026-05-20', 58, { ranDays: 64, plannedDays: 60 }),
]

interface Drawn {
  name: string
  data: unknown[]
  markLine?: { data: { name: string }[] }
}
const drawn = (chapters: Chapter[]) =>
  storyOption(chapters, '2026-06-01', (token) =>
    token.startsWith('--s') || token === '--cell' ? '#808080' : token,
  ).series as Drawn[]
const named = (name: string) => drawn(STORY).find((one) => one.name === name)

describe('the picture of a story', () => {
  it('holds each interval until the next event and the last until today', () => {
    expect(named('interval')?.data).toEqual([
      ['2026-01-01', 72],
      ['2026-03-17', 83],
      ['2026-04-02', 60],
      ['2026-05-20', 58],
      ['2026-06-01', 58],
    ])
  })

  it('shows each run at its length with its grade, flow and what nobody looked at', () => {
    const runs = named('runs')?.data as { value: unknown; name: string; label: { formatter: string } }[]

    expect(runs.map((one) => one.value)).toEqual([
      ['2026-03-17', 75],
      ['2026-05-20', 64],
    ])
    expect(runs[0]?.name).toBe('Ran 75 days: moderate, flow 82 % of clean')
    expect(runs.map((one) => one.label.formatter)).toEqual(['3', '–'])
  })

  it('marks what changed around the stage', () => {
    expect(named('interval')?.markLine?.data.map((one) => one.name)).toEqual(['Stocking raised'])
  })

  it('reaches over every run and interval but is not stretched by a wide first guess', () => {
    const wide = [chapter('2026-01-01', 70, { overload: overload(4000) }), ...STORY.slice(1)]

    expect(reach(wide)).toBe(Math.ceil(83 * 1.2 * 1.12))
    expect(named('to overload, 8 of 10')?.data.every((one) => Number((one as unknown[])[1]) >= 0)).toBe(true)
  })

  it('mixes colours', () => {
    expect(mixed('#000000', '#ff8000', 0.5)).toBe('#804000')
    expect(mixed('#102030', '#ffffff', 0)).toBe('#102030')
  })
})

describe('the chapters', () => {
  it('come latest first, each with the interval before and after', () => {
    const rows = mount(StoryChapters, { props: { chapters: STORY } })
      .findAll('li')
      .map((row) => row.text())

    expect(rows[0]).toContain('60 → 58 days')
    expect(rows[2]).toContain('ran 75 days, planned 72, flow 82 % of clean')
    expect(rows[3]).toContain('Start')
  })

  it('are a dozen at first, all on demand', async () => {
    const many = Array.from({ length: 30 }, (_, i) =>
      chapter(`2026-01-${String(i + 1).padStart(2, '0')}`, 10 + i),
    )
    const list = mount(StoryChapters, { props: { chapters: many } })

    expect(list.findAll('li')).toHaveLength(12)
    await list.get('button').trigger('click')

    expect(list.findAll('li')).toHaveLength(30)
  })
})
