import { texts } from './texts'
import type { EChartsCoreOption } from 'echarts/core'
import type { Day } from '@/shared/dates'
import { gradeOf, FINDINGS } from '@/shared/words'
import type { Chapter } from './queries'

/** Colours of the current theme, by token. */
export type Palette = (token: string) => string

const HEADROOM = 1.12
const MANY = 16
const SHADES = [0, 0.28, 0.52, 0.76, 1]

interface Point {
  value: [string, number]
  name: string
}

/** What was believed from each event on, held until the next, the last until today. */
function held(chapters: Chapter[], today: Day, of: (chapter: Chapter) => number): [string, number][] {
  const last = chapters.at(-1)
  const points = chapters.map((chapter): [string, number] => [chapter.on, of(chapter)])
  return last ? [...points, [today, of(last)]] : points
}

/** Days the picture reaches up to: all runs and intervals, and the last middle estimate, not the widest guess. */
export function reach(chapters: Chapter[]): number {
  const seen = chapters.flatMap((one) => [one.latestDays, one.ranDays ?? 0])
  return Math.ceil(Math.max(10, chapters.at(-1)?.overload.likely ?? 0, ...seen) * HEADROOM)
}

export const grade = (chapter: Chapter) =>
  chapter.finding ? FINDINGS[gradeOf(chapter.finding)]?.label : undefined

function run(chapter: Chapter): Point {
  const flow = chapter.flowPercent === undefined ? '' : texts.flowOfClean(chapter.flowPercent.toFixed(0))
  return {
    value: [chapter.on, chapter.ranDays ?? 0],
    name: texts.ranDays(chapter.ranDays ?? '', grade(chapter) ?? texts.nobodyLooked, flow),
  }
}

/** How long each run was and what was found, over what was then believed. */
export function storyOption(chapters: Chapter[], today: Day, colour: Palette): EChartsCoreOption {
  const top = reach(chapters)
  const line = (name: string, of: (chapter: Chapter) => number, style: object) => ({
    name,
    type: 'line',
    step: 'end',
    symbol: 'none',
    silent: true,
    data: held(chapters, today, of),
    ...style,
  })
  const runs = chapters.filter((one) => one.event === 'SERVICE')
  return {
    animation: false,
    textStyle: { fontFamily: colour('--text') },
    grid: { left: 52, right: 20, top: 30, bottom: 28 },
    tooltip: {
      trigger: 'item',
      backgroundColor: colour('--surface'),
      borderColor: colour('--line'),
      textStyle: { color: colour('--ink') },
      formatter: (point: Point) => `${point.name}<br>${point.value[0]}`,
    },
    xAxis: {
      type: 'time',
      max: today,
      axisLine: { lineStyle: { color: colour('--line') } },
      axisLabel: { color: colour('--ink-quiet'), hideOverlap: true },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      name: 'days',
      nameTextStyle: { color: colour('--ink-quiet'), align: 'right' },
      max: top,
      axisLabel: { color: colour('--ink-quiet') },
      splitLine: { lineStyle: { color: colour('--hair') } },
    },
    series: [
      line('low', (one) => Math.min(top, one.overload.low), { stack: 'band', lineStyle: { opacity: 0 } }),
      line(texts.toOverload8Of, (one) => Math.min(top, one.overload.high) - Math.min(top, one.overload.low), {
        stack: 'band',
        lineStyle: { opacity: 0 },
        areaStyle: { color: colour('--silt-stipple'), opacity: 0.32 },
      }),
      line(texts.toOverload, (one) => one.overload.likely, {
        lineStyle: { color: colour('--silt'), width: 1.6, type: 'dashed' },
      }),
      line('interval', (one) => one.idealDays, {
        lineStyle: { color: colour('--herb'), width: 3 },
        markLine: changes(chapters, colour),
      }),
      {
        name: 'runs',
        type: 'scatter',
        symbolSize: runs.length > MANY ? 17 : 25,
        z: 5,
        data: runs.map((one) => dot(one, colour, runs.length > MANY ? 11 : 13)),
      },
    ],
  }
}

function dot(chapter: Chapter, colour: Palette, fontSize: number) {
  const place = chapter.finding ? gradeOf(chapter.finding) : -1
  return {
    ...run(chapter),
    itemStyle: {
      color: place < 0 ? colour('--ground') : mixed(colour('--cell'), colour('--silt'), SHADES[place] ?? 0),
      borderColor: colour('--silt'),
      borderWidth: 1.5,
    },
    label: {
      show: true,
      formatter: place < 0 ? '–' : String(place + 1),
      color: place >= 3 ? colour('--on-silt') : colour('--ink'),
      fontWeight: 700,
      fontSize,
    },
  }
}

function changes(chapters: Chapter[], colour: Palette) {
  return {
    symbol: 'none',
    silent: true,
    lineStyle: { color: colour('--plum'), type: 'solid', width: 1.2 },
    label: { formatter: '{b}', color: colour('--plum'), position: 'end' },
    data: chapters.filter((one) => one.event === 'CHANGE').map((one) => ({ xAxis: one.on, name: one.title })),
  }
}

/** A colour between two given as #rrggbb. */
export function mixed(from: string, to: string, share: number): string {
  const part = (text: string, at: number) => Number.parseInt(text.slice(at, at + 2), 16)
  return `#${[1, 3, 5]
    .map((at) => Math.round(part(from, at) * (1 - share) + part(to, at) * share))
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('')}`
}
