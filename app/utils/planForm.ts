import { SETTINGS, type Setting } from '#core/formats/document'
import type { QuantityKindName, UnitSystem } from '#core/quantity/kinds'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { problemText } from '#core/result'
import { massFromLitres } from '#core/water/liquid'
import type { Level } from '#core/plan/study'
import type { TypedStudy, Turns } from '#shared/plan'

/** A study as its form has it: text, as it is typed. */
export interface PlanForm {
  id: string
  revision: number
  setupIds: string[]
  methodId: string | null
  fuelBatchId: string | null
  placeId: string | null
  water: string
  start: string
  setting: string | null
  levelOf: Level['of'] | null
  levels: string
  differencePct: string
  replicates: string
  day: string
  days: string
  from: string
  to: string
  people: string[]
  flames: string
  peopleBy: Turns
  stations: string
  stationsBy: Turns
  containerIds: string[]
  cooledInWater: boolean
}

export type PlanProblems = Record<string, string>
type Read<T> = { ok: true; value: T } | { ok: false; problem: string }

const DAY_MS = 86_400_000

/** What the form says, or what of it cannot be read, by its field. */
export function typedStudy(
  form: PlanForm,
  personId: string | null,
  units: UnitSystem,
): { study: TypedStudy; problems: PlanProblems } {
  const problems: PlanProblems = {}
  const take = <T>(path: string, read: Read<T>, otherwise: T): T => {
    if (!read.ok) problems[path] = read.problem
    return read.ok ? read.value : otherwise
  }
  const study: TypedStudy = {
    id: form.id,
    revision: form.revision,
    personId,
    setupIds: [...form.setupIds],
    held: {
      methodId: form.methodId ?? '',
      fuelBatchId: form.fuelBatchId ?? '',
      placeId: form.placeId ?? '',
      waterKg: take('held.waterKg', waterOf(form.water, units), 0),
      startC: take('held.startC', quantityOf(form.start, 'waterTemp', units), 0),
      setting: (form.setting || null) as Setting | null,
    },
    levels: take('levels', levelsOf(form, units), []),
    difference: numberOf(form.differencePct) / 100,
    replicates: numberOf(form.replicates),
    days: {
      days: daysOf(form),
      people: form.people.map((id) => ({ id, flames: numberOf(form.flames) })),
      peopleBy: form.peopleBy,
      stations: wordsOf(form.stations),
      stationsBy: form.stationsBy,
      containerIds: form.containerIds,
      cooledInWater: form.cooledInWater,
    },
  }
  return { study, problems }
}

const numberOf = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')))
const wordsOf = (text: string): string[] =>
  text
    .split(/[,;\n]/)
    .map((word) => word.trim())
    .filter((word) => word !== '')

function quantityOf(text: string, kind: QuantityKindName, units: UnitSystem): Read<number> {
  const read = parseQuantity(text, kind, units)
  return read.ok ? { ok: true, value: read.value.value } : { ok: false, problem: problemText(read.problem) }
}

/** Weighed, or by volume. */
function waterOf(text: string, units: UnitSystem): Read<number> {
  const read = parseQuantity(text, 'water', units)
  if (!read.ok) return { ok: false, problem: problemText(read.problem) }
  const { dimension, value } = read.value
  return { ok: true, value: dimension === 'volume' ? massFromLitres(value * 1000) : value }
}

function daysOf({ day, days, from, to }: PlanForm): TypedStudy['days']['days'] {
  const first = Date.parse(`${day}T00:00:00Z`)
  const n = Math.max(1, Math.round(numberOf(days) || 1))
  if (Number.isNaN(first)) return [{ day, from, to }]
  return Array.from({ length: n }, (_, i) => ({
    day: new Date(first + i * DAY_MS).toISOString().slice(0, 10),
    from,
    to,
  }))
}

/** "0, 1.8, 3.6 m/s" */
function levelsOf({ levelOf, levels }: PlanForm, units: UnitSystem): Read<Level[]> {
  if (levelOf === null) return { ok: true, value: [] }
  const words = wordsOf(levels)
  if (words.length < 2) return { ok: false, problem: 'Levels: two at least, with commas between them.' }
  const read = words.map((word) => levelFrom(levelOf, word, units))
  const wrong = read.find((one) => !one.ok)
  return wrong && !wrong.ok ? wrong : { ok: true, value: read.flatMap((one) => (one.ok ? [one.value] : [])) }
}

function levelFrom(of: Level['of'], word: string, units: UnitSystem): Read<Level> {
  if (of === 'setting') {
    const setting = SETTINGS.find((one) => one === word.toLowerCase())
    return setting === undefined
      ? { ok: false, problem: `Levels: “${word}” is no setting. There are ${SETTINGS.join(', ')}.` }
      : { ok: true, value: { id: setting, of, setting } }
  }
  const read = of === 'volume' ? waterOf(word, units) : quantityOf(word, of === 'wind' ? 'windSpeed' : 'airTemp', units)
  if (!read.ok) return read
  const id = String(read.value)
  if (of === 'volume') return { ok: true, value: { id, of, waterKg: read.value } }
  return { ok: true, value: of === 'wind' ? { id, of, windMS: read.value } : { id, of, airC: read.value } }
}
