/** Estimates under one another on one axis, as a vector drawing: for paper, and for who takes them along. */
import { formatNumber } from '#core/quantity/format'
import { intervalAxis, placeOn, type IntervalAxis } from '../utils/intervalAxis'

interface DrawnRow {
  label: string
  mark: number
  interval: readonly [number, number] | null
  words: string
  /** Single readings above it. */
  strokes?: readonly number[]
  /** Said of it by somebody: a hollow mark. */
  said?: number
  /** On its right side. */
  beside?: string
}
/** Rows with the axis that they share. */
export interface DrawnRows {
  rows: readonly DrawnRow[]
  unit: string
  /** A line that stands out: no difference. */
  nought?: number
  axis?: IntervalAxis
}

const WIDTH = 860
const LABEL = 220
const WORDS = 230
const ROW = 40
const AXIS = 34
const FONT = `font-family="'Atkinson Hyperlegible Next Variable', sans-serif" font-size="13"`
const at = (px: number) => px.toFixed(1)
const escaped = (text: string) => text.replace(/[&<>"]/g, (letter) => `&#${letter.charCodeAt(0)};`)
const text = (x: number, y: number, words: string, anchor: 'start' | 'middle' | 'end' = 'start') =>
  `<text x="${at(x)}" y="${at(y)}" fill="#000" text-anchor="${anchor}" ${FONT}>${escaped(words)}</text>`

/** @param notes lines that must go with it: cautions, of how many runs it is @returns the drawing as SVG text, black on white */
export function intervalRowsSvg(groups: readonly DrawnRows[], notes: readonly string[] = []): string {
  let top = 8
  const parts = groups.flatMap((group) => {
    const drawn = groupOf(group, top)
    top += group.rows.length * ROW + AXIS
    return drawn
  })
  const said = notes.map((note, i) => text(8, top + 18 * (i + 1), note))
  const height = top + 18 * notes.length + 12
  return `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${height}" width="${WIDTH}" height="${height}"><rect width="100%" height="100%" fill="#fff"/>${parts.join('')}${said.join('')}</svg>`
}

function groupOf({ rows, unit, nought, axis: given }: DrawnRows, top: number): string[] {
  const axis =
    given ??
    intervalAxis(
      rows.flatMap((row) => [
        row.mark,
        ...(row.interval ?? []),
        ...(row.strokes ?? []),
        ...(row.said === undefined ? [] : [row.said]),
      ]),
    )
  const xOf = (value: number) => LABEL + (placeOn(axis, value) / 100) * (WIDTH - LABEL - WORDS - 24)
  const bottom = top + rows.length * ROW
  const grid = axis.ticks.map((tick) => `M${at(xOf(tick))} ${at(top)}V${at(bottom)}`).join('')
  return [
    `<path d="${grid}" stroke="#999" stroke-width="0.5" fill="none"/>`,
    nought === undefined ? '' : `<path d="M${at(xOf(nought))} ${at(top)}V${at(bottom)}" stroke="#000" fill="none"/>`,
    ...rows.flatMap((row, i) => rowOf(row, top + i * ROW, xOf)),
    ...axis.ticks.map((tick) => text(xOf(tick), bottom + 16, formatNumber(tick, axis.decimals), 'middle')),
    text(WIDTH - WORDS, bottom + 16, unit),
  ]
}

function rowOf(
  { label, mark, interval, words, strokes = [], said, beside }: DrawnRow,
  top: number,
  xOf: (value: number) => number,
): string[] {
  const middle = top + ROW - 12
  const single = strokes.map((one) => `M${at(xOf(one))} ${at(top + 6)}v14`).join('')
  const line = interval === null ? '' : `M${at(xOf(interval[0]))} ${at(middle)}H${at(xOf(interval[1]))}`
  return [
    text(8, middle + 4, label),
    `<path d="${single}" stroke="#000" stroke-width="2" fill="none"/>`,
    `<path d="${line}" stroke="#000" stroke-width="3" fill="none"/>`,
    said === undefined
      ? ''
      : `<circle cx="${at(xOf(said))}" cy="${at(middle)}" r="6" fill="#fff" stroke="#000" stroke-width="2"/>`,
    `<circle cx="${at(xOf(mark))}" cy="${at(middle)}" r="5" fill="#000"/>`,
    text(WIDTH - WORDS, middle + 4, beside === undefined || beside === '' ? words : `${words} · ${beside}`),
  ]
}
