/** What an opened fuel loses with its days. */
import { fuelOfKind } from '../constants/fuels'

const DAY_MS = 86_400_000

/** How an opened fuel ages, and after how many days one asks. Source: commonPractice. */
interface Ageing {
  afterDays: number
  text: string
}
const GEL: Ageing = { afterDays: 3, text: 'opened gel loses alcohol within days' }
const ALCOHOL: Ageing = { afterDays: 14, text: 'opened spirit takes up water and loses alcohol' }
const HEXAMINE: Ageing = { afterDays: 30, text: 'opened hexamine crumbles in air' }

/** Gas, liquid fuels, wax and wood keep: null. */
function ageingOf(kind: string): Ageing | null {
  if (kind === 'hexamine') return HEXAMINE
  const form = fuelOfKind(kind)?.form
  return form === 'gel' ? GEL : form === 'alcohol' ? ALCOHOL : null
}

/** Days since it was opened, where that matters to it; null: it keeps, or nobody wrote when it was opened. */
export function fuelAgeDays(kind: string, openedOn: string | null, atMs: number): number | null {
  if (openedOn === null || ageingOf(kind) === null) return null
  const days = Math.floor((atMs - Date.parse(openedOn)) / DAY_MS)
  return days < 0 ? null : days
}

/** "Opened 47 days ago: opened gel loses alcohol within days."; null: nothing to say. */
export function fuelAgeText(kind: string, openedOn: string | null, atMs: number): string | null {
  const days = fuelAgeDays(kind, openedOn, atMs)
  const ageing = ageingOf(kind)
  return days === null || ageing === null || days < ageing.afterDays
    ? null
    : `Opened ${days} days ago: ${ageing.text}. A fresh batch, or a note, keeps the figures apart.`
}
