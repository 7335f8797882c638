import { texts } from './texts'
import type { EChartsCoreOption } from 'echarts/core'
import type { SiteUnits } from '@/shared/units'
import { scaleOf } from './units'
import type { Line, Series } from './queries'

const ROW = 74
const GAP = 28
const TOP = 22
const LEFT = 64
const RIGHT = 22
const MARKS = 34
const DAY_MS = 86_400_000

/** Colours of the current theme, by token. */
export type Palette = (token: string) => string

export const stripHeight = (lines: number) => TOP + lines * (ROW + GAP) + MARKS + 26

type Units = SiteUnits

/** One small chart a parameter above each other on one axis of days; marks of services and water changes below. */
export function stripOption(
  series: Series,
  units: Units,
  colour: Palette,
  hatch: unknown,
): EChartsCoreOption {
  const from = Date.parse(series.from)
  const to = Date.parse(series.to) + DAY_MS
  const rows = series.lines.length
  const xAxes = Array.from({ length: rows + 1 }, (_, i) => ({
    type: 'time',
    gridIndex: i,
    min: from,
    max: to,
    axisLine: { lineStyle: { color: colour('--line') } },
    axisTick: { show: i === rows },
    axisLabel: { show: i === rows, color: colour('--ink-quiet'), hideOverlap: true },
    splitLine: { show: false },
  }))
  return {
    animation: false,
    textStyle: { fontFamily: colour('--text') },
    tooltip: tooltip(colour),
    grid: [
      ...series.lines.map((_, i) => ({ left: LEFT, right: RIGHT, top: TOP + i * (ROW + GAP), height: ROW })),
      { left: LEFT, right: RIGHT, top: TOP + rows * (ROW + GAP), height: MARKS },
    ],
    xAxis: xAxes,
    yAxis: [
      ...series.lines.map((line, i) => valueAxis(line, i, units, colour)),
      { gridIndex: rows, show: false, min: 0, max: 2 },
    ],
    series: [
      ...series.lines.flatMap((line, i) =>
        lineSeries(line, i, units, colour, holds(series, colour, hatch, i === 0)),
      ),
      mark(series.services, rows, { name: 'Service', symbol: 'triangle', color: colour('--ink'), y: 1.4 }),
      mark(series.waterChanges, rows, {
        name: texts.waterChange2,
        symbol: 'circle',
        color: colour('--stream'),
        y: 0.5,
      }),
    ],
  }
}

function tooltip(colour: Palette) {
  return {
    trigger: 'item',
    backgroundColor: colour('--surface'),
    borderColor: colour('--line'),
    textStyle: { color: colour('--ink') },
  }
}

interface Range {
  min: number
  max: number
}

function valueAxis(line: Line, i: number, units: Units, colour: Palette) {
  const { unit } = scaleOf(line.parameter, units)
  const least = Number((line.parameter.noise * 3).toPrecision(3))
  const around = line.parameter.code === 'PH' || line.parameter.code === 'TEMPERATURE'
  return {
    type: 'value',
    gridIndex: i,
    name: `${line.parameter.label}${unit ? `, ${unit}` : ''}`,
    nameLocation: 'end',
    nameGap: 6,
    nameTextStyle: { color: colour('--ink'), align: 'left', fontWeight: 'bold', padding: [0, 0, 0, -4] },
    ...(around
      ? { min: ({ min }: Range) => Math.floor(min - 0.4), max: ({ max }: Range) => Math.ceil(max + 0.4) }
      : { max: ({ max }: Range) => (max < least ? least : null) }),
    splitNumber: 2,
    axisLabel: { color: colour('--ink-quiet') },
    splitLine: { lineStyle: { color: colour('--hair') } },
  }
}

/** Kept readings make the line; those below detection hang as triangles from their limit, early ones stand apart. */
function lineSeries(line: Line, i: number, units: Units, colour: Palette, areas: unknown[]) {
  const { shown, unit } = scaleOf(line.parameter, units)
  const { label } = line.parameter
  const points = line.at.map((at, k) => {
    const marks = line.marks[k] ?? ''
    const value = Number(shown(line.amounts[k] ?? 0).toPrecision(4))
    const early = marks.includes('e')
    const kind: 'kept' | 'below' | 'early' = early ? 'early' : marks.includes('b') ? 'below' : 'kept'
    const words = `${label} ${marks.includes('b') ? 'below ' : ''}${String(value)} ${unit}${early ? texts.readEarlyAtLeastThis : ''}`
    return { value: [at * 1000, value], name: words, kind }
  })
  const common = { xAxisIndex: i, yAxisIndex: i, tooltip: { formatter: described } }
  const apart = (kind: string, symbol: string, symbolRotate: number, token: string) => ({
    ...common,
    name: `${label}, ${kind}`,
    type: 'scatter',
    symbol,
    symbolRotate,
    symbolSize: 8,
    data: points.filter((point) => point.kind === kind),
    itemStyle: { color: 'transparent', borderColor: colour(token), borderWidth: 1.8 },
  })
  return [
    {
      ...common,
      name: label,
      type: 'line',
      data: points.filter((point) => point.kind === 'kept'),
      symbol: 'circle',
      symbolSize: points.length <= 120 ? 5 : 0,
      showSymbol: points.length <= 120,
      lineStyle: { color: colour('--herb'), width: 1.8 },
      itemStyle: { color: colour('--herb') },
      markArea: { silent: true, data: [...band(line, shown, colour), ...areas] },
    },
    apart('below', 'triangle', 180, '--herb'),
    apart('early', 'circle', 0, '--amber'),
  ]
}

/** What most keepers aim at, as a soft ground. */
function band(line: Line, shown: (stored: number) => number, colour: Palette) {
  return line.target
    ? [
        [
          { yAxis: shown(line.target.low), itemStyle: { color: colour('--herb-soft'), opacity: 0.55 } },
          { yAxis: shown(line.target.high) },
        ],
      ]
    : []
}

function described(point: { name: string; value: [number, number] }): string {
  const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium' }).format(point.value[0])
  return `${point.name}<br>${when}`
}

function holds(series: Series, colour: Palette, hatch: unknown, named: boolean) {
  return series.holds.map((hold, i) => [
    {
      xAxis: Date.parse(hold.from),
      itemStyle: { color: hatch ?? colour('--plum-soft'), opacity: 0.7 },
      label: {
        show: named && i === 0,
        formatter: 'hold',
        color: colour('--plum'),
        position: 'insideTopRight',
      },
    },
    { xAxis: Date.parse(hold.to) + DAY_MS },
  ])
}

/** How days of one kind are marked; `y` from the bottom of their row. */
interface Mark {
  name: string
  symbol: 'triangle' | 'circle'
  color: string
  y: number
}

function mark(days: string[], grid: number, { name, symbol, color, y }: Mark) {
  return {
    name,
    type: 'scatter',
    xAxisIndex: grid,
    yAxisIndex: grid,
    symbol,
    symbolRotate: symbol === 'triangle' ? 180 : 0,
    symbolSize: symbol === 'triangle' ? 11 : 8,
    itemStyle: { color },
    data: days.map((day) => ({ value: [Date.parse(day) + DAY_MS / 2, y], name })),
    tooltip: { formatter: described },
  }
}

/** A pattern of slanted strokes; undefined where there is no canvas. */
export function hatchOf(colour: Palette): unknown {
  const tile = document.createElement('canvas')
  tile.width = tile.height = 8
  const brush = tile.getContext('2d')
  if (!brush) return undefined
  brush.fillStyle = colour('--plum-soft')
  brush.fillRect(0, 0, 8, 8)
  brush.strokeStyle = colour('--plum')
  brush.globalAlpha = 0.5
  brush.beginPath()
  brush.moveTo(-2, 10)
  brush.lineTo(10, -2)
  brush.stroke()
  return { image: tile, repeat: 'repeat' }
}
