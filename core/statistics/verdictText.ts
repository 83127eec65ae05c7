/** What two arms show, in plain words. */
import { ENOUGH, type PriorScatter } from './scatter'

const COUNT_WORDS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten']
const percent = (share: number): string => (100 * share).toFixed(Math.abs(share) < 0.0995 ? 1 : 0).replace(/\.0$/, '')

/** What there is less or more of. */
export type Compared = 'fuel' | 'heat' | 'time' | 'money' | 'weight'

export interface SaidOfTwo {
  /** Of what; fuel, where nothing is said. */
  of?: Compared
  ratio: number
  ci95: [number, number]
  says: 'less' | 'more' | 'none'
  /** The second arm's. */
  name: string
  /** Runs of the smaller arm. */
  fewest: number
  /** Runs of each that would show `worthSeeing`; null: no number of them. */
  needed: number | null
  worthSeeing: number
  isAssumed: boolean
  prior: PriorScatter
}

export function verdictText(said: SaidOfTwo): string {
  return `${said.says === 'none' ? nothingShown(said) : shown(said)}${helped(said)}`
}

/** The same of a question that names both: "29 % less; 27 to 31 % fits." */
export function lineOf(said: Omit<SaidOfTwo, 'name'>): string {
  if (said.says === 'none') return `${nothingShown(said)}${helped(said)}`
  return `${percent(Math.abs(said.ratio - 1))} % ${said.says}; ${fits(said)}${narrows(said)}${helped(said)}`
}

const USES: Record<Compared, (share: string) => string> = {
  fuel: (share) => `used ${share} fuel`,
  heat: (share) => `used ${share} heat`,
  time: (share) => `took ${share} time`,
  money: (share) => `cost ${share}`,
  weight: (share) => `took ${share} carried weight`,
}
const shown = (said: SaidOfTwo): string =>
  `${said.name} ${USES[said.of ?? 'fuel'](`${percent(Math.abs(said.ratio - 1))} % ${said.says}`)}; ${fits(said)}${narrows(said)}`

/** Of few runs, the next best thing to burn. */
const narrows = ({ fewest }: Pick<SaidOfTwo, 'fewest'>): string =>
  fewest < ENOUGH ? ' One more each would narrow it.' : ''

function fits({ ci95, says }: Pick<SaidOfTwo, 'ci95' | 'says'>): string {
  const sign = says === 'less' ? -1 : 1
  const [near, far] = ci95.map((edge) => sign * (edge - 1)).sort((a, b) => a - b) as [number, number]
  return `${percent(near)} to ${percent(far)} % fits.`
}

const nothingShown = ({ ci95, needed, fewest, worthSeeing }: Omit<SaidOfTwo, 'name'>): string =>
  `No difference shown: ${ratioRange(ci95)} fits.${toSee(worthSeeing, needed, fewest)}`

/** Shown by itself, and not among as many. */
export const notAmong = (pairs: number, ci95: readonly [number, number]): string =>
  `No difference shown, since ${pairs} pairs are looked at; by itself ${ratioRange(ci95)} fits.`

/** "5 % less to 4 % more", "4 to 77 % more", "38 % less". */
export function ratioRange(ci95: readonly [number, number]): string {
  const [low, high] = ci95.map((edge) => percent(Math.abs(edge - 1))) as [string, string]
  if (low === high && ci95[0] >= 1 === ci95[1] >= 1) return `${low} % ${ci95[0] >= 1 ? 'more' : 'less'}`
  if (ci95[0] >= 1) return `${low} to ${high} % more`
  return ci95[1] < 1 ? `${high} to ${low} % less` : `${low} % less to ${high} % more`
}

function toSee(worthSeeing: number, needed: number | null, fewest: number): string {
  if (needed === null) return ` Repeating alone will not show ${percent(worthSeeing)} %.`
  return needed > fewest ? ` To see ${percent(worthSeeing)} %: ${needed} runs each.` : ''
}

const helped = ({ isAssumed, fewest, prior }: Omit<SaidOfTwo, 'name'>): string =>
  isAssumed
    ? ` ${COUNT_WORDS[fewest] ?? fewest} ${fewest === 1 ? 'run' : 'runs'} each: a scatter of ${percent(prior.sd)} % from burn to burn is assumed.`
    : ''
