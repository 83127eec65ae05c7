/** What a line says, in one sentence. */
import type { AlongKind } from './along'
import type { LineAnswer } from '../formats/comparison'
import { formatNumber } from '../quantity/format'
import { listed } from './words'

interface Axis {
  unit: string
  decimals: number
  /** What is asked, of one set-up and of several. */
  asks: (names: readonly string[]) => string
  /** What it is at the reference. */
  usual: number | null
}

const named = (names: readonly string[]): string => listed(names)

export const AXES: Record<AlongKind | 'flameLine', Axis> = {
  flameLine: {
    unit: 'g/min',
    decimals: 1,
    asks: (names) => `Which flame is thriftiest on ${named(names)}?`,
    usual: null,
  },
  wind: { unit: 'm/s', decimals: 1, asks: (names) => `How ${doOf(names)} ${named(names)} stand wind?`, usual: 0 },
  cold: { unit: '°C', decimals: 0, asks: (names) => `What does cold cost ${named(names)}?`, usual: 20 },
  height: { unit: 'm', decimals: 0, asks: (names) => `What does height do to ${named(names)}?`, usual: 0 },
  volume: {
    unit: 'g of water',
    decimals: 0,
    asks: (names) => `What ${doOf(names)} ${named(names)} burn for each volume?`,
    usual: null,
  },
}
const doOf = (names: readonly string[]): string => (names.length > 1 ? 'do' : 'does')

const shown = (kind: keyof typeof AXES, value: number): string =>
  `${formatNumber(value, AXES[kind].decimals)}\u202f${AXES[kind].unit}`

/** Of one arm; '': its runs draw no line. */
export function lineWords(kind: keyof typeof AXES, line: LineAnswer): string {
  if (kind === 'wind') return windWords(line)
  if (line.curve.length === 0) return line.points.length === 0 ? 'No run to draw.' : 'Too few runs for a line.'
  return kind === 'flameLine' ? flameWords(line) : alongWords(kind, line)
}

function flameWords({ curve, thriftiest }: LineAnswer): string {
  const full = curve.at(-1)!
  const best = curve.reduce((a, b) => (b[1] < a[1] ? b : a))
  if (thriftiest === null || thriftiest > 0.97 * full[0])
    return `Full flame, ${shown('flameLine', full[0])}: none that was tried takes less.`
  return `About ${shown('flameLine', thriftiest)}: ${percent(1 - best[1] / full[1])} less than at ${shown('flameLine', full[0])}.`
}

const percent = (share: number): string => `${formatNumber(100 * share, 0)} %`

function windWords({ doublingMS, stallMS, curve }: LineAnswer): string {
  if (curve.length === 0 && doublingMS === null) return 'Too few runs for a line.'
  const stall = stallMS === null ? '' : `May fail to boil from ${shown('wind', stallMS.low)} on. `
  if (doublingMS === null) return `${stall}Its fuel does not double below 40\u202fm/s.`
  const range = `${formatNumber(doublingMS.low, 1)} to ${formatNumber(doublingMS.high, 1)}`
  return `${stall}Twice the fuel at ${shown('wind', doublingMS.value)} (${range}).`
}

/** From the gentlest to the hardest that was tested, and whether more is the model's alone. */
function alongWords(kind: Exclude<AlongKind, 'wind'>, { points, curve }: LineAnswer): string {
  const xs = points.map(([x]) => x)
  const [low, high] = [Math.min(...xs), Math.max(...xs)]
  const tested = `Tested ${formatNumber(low, AXES[kind].decimals)} to ${shown(kind, high)}.`
  if (kind === 'volume') return tested
  const [hard, mild] = kind === 'cold' ? [low, AXES.cold.usual!] : [high, AXES.height.usual!]
  const share = at(curve, hard) / at(curve, mild) - 1
  const word = share < 0 ? 'less' : 'more'
  return `${percent(Math.abs(share))} ${word} fuel at ${shown(kind, hard)} than at ${shown(kind, mild)}. ${tested}`
}

/** Between the points of a curve, straight. */
function at(curve: LineAnswer['curve'], x: number): number {
  const after = curve.findIndex(([here]) => here >= x)
  if (after <= 0) return (after === 0 ? curve[0] : curve.at(-1))![1]
  const [a, b] = [curve[after - 1]!, curve[after]!]
  return a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])
}
