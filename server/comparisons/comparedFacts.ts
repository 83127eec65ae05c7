/** What of a run is compared, from the run and its answer. */
import type { ComparedFacts } from '../../core/compare/facts'
import { isByClass } from '../../core/compare/oneTest'
import { fuelAgeDays } from '../../core/kit/fuelAge'
import { fuelOfKind } from '../../core/constants/fuels'
import type { RunAnswer } from '../../core/formats/answer'
import type { ArmRun } from '../../core/statistics/arms'
import type { ComparedRun } from '../../core/statistics/likeWithLike'
import { conventionsOf, type Conventions } from '../../shared/runOptions'
import { dayOf } from '../runs/dayOf'
import type { FoundRun } from '../runs/repository/findRuns'

/** Null: it has no figure of its own to compare, but one that its class lends it. */
export function comparedFacts(found: FoundRun, answer: RunAnswer): ComparedFacts | null {
  const { record } = found
  if (answer.normalisedGPerL === null || isByClass(answer)) return null
  return {
    ...armRun(answer),
    id: record.id,
    startedAt: record.startedAt,
    zone: record.zone,
    u: answer.normalisedU ?? 0,
    day: blockDay(found),
    person: record.person,
    fuelG: answer.fuelToBoilG,
    boilS: answer.timeToBoilS,
    timeS: answer.normalisedTimeS,
    timeU: answer.timeToBoilU,
    heatKJPerG: heatInAGram(found.stored.fuel),
    batchId: record.batchId,
    ownRateGPerL: answer.ladder.find(({ rung }) => rung === 'wind')?.gPerL ?? null,
    burnRateGPerMin: answer.burnRateGPerMin,
    values: conditionsOf(found, answer),
  }
}

/** [kJ]; null: not known. */
function heatInAGram(fuel: FoundRun['stored']['fuel']): number | null {
  if (fuel === null) return null
  return fuel.lhvJPerKg === null ? (fuelOfKind(fuel.kind)?.lowerHeatingValue.value ?? null) : fuel.lhvJPerKg / 1e6
}

/** A mean's runs are all read by its conventions, whatever each one's method says. */
function conditionsOf(found: FoundRun, answer: RunAnswer): ComparedRun['values'] {
  const { boil: _boil, clock: _clock, ...conditions } = valuesOf(found, answer)
  return conditions
}

export const armRun = (answer: RunAnswer): Required<Omit<ArmRun, 'block'>> => ({
  gPerL: answer.normalisedGPerL!,
  uRandom: answer.normalisedUReadingRandom ?? 0,
  stepGPerL: answer.scaleStepGPerL ?? 0,
  shared: answer.normalisedSharedBy,
})

/** One person's, at one place, on one day; null: who burned it, or where, is not stated, and so never alike. */
export function blockDay({ record: { personId, placeId, startedAt, zone } }: FoundRun): string | null {
  return personId === null || placeId === null ? null : JSON.stringify([personId, placeId, dayOf(startedAt, zone)])
}

const BOIL_WORDS: Record<Exclude<Conventions['boil'], 'target'>, string> = {
  rollingBoil: 'a rolling boil',
  firstBubbles: 'first bubbles',
  probeAtBoil: 'the probe at the boil',
  plateau: 'the plateau',
}
const CLOCK_WORDS: Record<Conventions['clock'], string> = { potOn: 'pot-on', lit: 'lighting', bloomed: 'full flame' }

/** What keeps has no age that matters; of a batch that nobody dated it is not known. */
function ageOf(
  { batchOpenedOn, startedAt }: FoundRun['record'],
  { fuel }: FoundRun['stored'],
): { fuelAgeDays?: number } {
  const days = fuel === null ? null : fuelAgeDays(fuel.kind, batchOpenedOn, Date.parse(startedAt))
  return days === null ? {} : { fuelAgeDays: days }
}

export function valuesOf({ record, stored, method }: FoundRun, answer: RunAnswer): ComparedRun['values'] {
  const value = (name: string) => stored.measured[name]?.value ?? null
  const { boil, targetC, clock } = conventionsOf(method)
  const named = (role: string) => record.parts.find((part) => part.role === role)?.name ?? null
  return {
    origin: record.origin,
    burner: named('burner'),
    pot: named('pot'),
    stand: named('stand'),
    lid: stored.lid,
    screen: stored.screen,
    fuelBatch: record.batch === null ? record.fuel : `${record.fuel}, ${record.batch}`,
    ...ageOf(record, stored),
    waterG: answer.litres === null ? null : Math.round(answer.litres * 1000),
    startC: value('waterStart'),
    boilingPointC: answer.boilingPointC === null ? null : Number(answer.boilingPointC.toFixed(1)),
    airC: value('air'),
    windMS: value('wind'),
    boil: boil === 'target' ? `${targetC} °C` : BOIL_WORDS[boil],
    clock: CLOCK_WORDS[clock],
    // A valve that nobody named stood as it always does.
    ...(record.setting === null ? {} : { setting: record.setting }),
    breakIn: record.breakIn,
    observer: record.person,
  }
}
