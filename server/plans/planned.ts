/** What is known beforehand of a study's runs: how long they take, how long they cool, how they scatter. */
import { COOL_MS } from '../../core/bench/cooling'
import { coolDownWait, type Wait } from '../../core/plan/coolDown'
import type { Setting } from '../../core/formats/document'
import { runLength } from '../../core/plan/runLength'
import { planScatter, type PlanScatter } from '../../core/plan/scatterOf'
import type { Level } from '../../core/plan/study'
import { lossFromGeometry, LOSS_ESTIMATE } from '../../core/heating/loss'
import { potAreas, potHeatCapacity } from '../../core/heating/pot'
import { KIND_OF_TEST, type MethodBody } from '../../core/method/method'
import { priorScatter } from '../../core/statistics/scatter'
import type { SetupPartLine } from '../../shared/kitRecords'
import type { HeldOfStudy, PlannedLength, StudyPage } from '../../shared/plan'
import type { BurnerProperties, PotProperties } from '../../shared/thing'
import type { Connection } from '../database/connection'
import { repeatedMeans } from '../runs/repository/means'
import { pastRuns, type PastRuns } from './repository/pastRuns'

/** Hot metal to the air, to within a few kelvin, where nothing says it better; in water and dried. Source: estimate. */
const BURNER_COOLS: Wait = { s: COOL_MS / 1000, u: 4 * 60, from: 'estimate' }
const COOLED_IN_WATER: Wait = { s: 120, u: 30, from: 'estimate' }
/** Poured out, a pot is about so hot. Source: estimate. */
const POURED_C = 90
const POT_LOSS_U = 0.4
/** Hardware may be so much warmer than the air where the method does not say. Source: commonPractice. */
const WITHIN_K = 3
const ROOM_C = 20
/** Winds nearer than this are one. */
const CALM_MS = 0.5

export interface ArmFacts {
  id: string
  setupVersionId: string
  parts: readonly SetupPartLine[]
}

export interface PlannedFacts {
  lengths: PlannedLength[]
  waits: StudyPage['waits']
  scatter: PlanScatter
}

export async function plannedFacts(
  db: Connection,
  arms: readonly ArmFacts[],
  { held, levels, body, boilC, cooledInWater }: AskedFacts,
): Promise<PlannedFacts> {
  const kind = KIND_OF_TEST[body.test]
  const past = new Map<string, PastRuns>()
  for (const { id, setupVersionId } of arms)
    past.set(id, await pastRuns(db, { setupVersionId, fuelBatchId: held.fuelBatchId, kind, waterKg: held.waterKg }))
  const of = levels.length === 0 ? [null] : levels
  return {
    lengths: arms.flatMap((arm) =>
      of.map((level) => lengthOf(arm, level, { held, body, boilC, past: past.get(arm.id)! })),
    ),
    waits: arms.map((arm) => ({ armId: arm.id, ...waitsOf(arm, held, body, cooledInWater) })),
    scatter: planScatter(
      [...past.values()].flatMap(({ mean }) => mean ?? []),
      priorScatter(await repeatedMeans(db, [kind])),
    ),
  }
}

interface AskedFacts {
  held: HeldOfStudy
  levels: readonly Level[]
  body: MethodBody
  boilC: number
  cooledInWater: boolean
}

function lengthOf(
  arm: ArmFacts,
  level: Level | null,
  { held, body, boilC, past }: Pick<AskedFacts, 'held' | 'body' | 'boilC'> & { past: PastRuns },
): PlannedLength {
  const { waterKg, setting, windMS } = atLevel(held, level)
  const ownS = calmLengths(past, setting)
  const burner = arm.parts.find(({ role }) => role === 'burner')?.properties as BurnerProperties | undefined
  const calm = {
    ownS,
    burner: burner?.burner ?? null,
    waterKg,
    riseK: Math.max(1, boilC - held.startC),
    // Its own were of the volume that is held; a class's are of the level's.
    factor: ownS.length > 0 ? waterKg / held.waterKg : 1,
    giveUpS: null,
  }
  const length = runLength({ ...calm, factor: calm.factor * slowedBy(past, windMS), giveUpS: body.giveUpS })
  return {
    armId: arm.id,
    levelId: level?.id ?? null,
    ...length,
    fuelKg: fuelOf(past, waterKg, length.burnS / runLength(calm).burnS),
  }
}

const atLevel = ({ waterKg, setting }: HeldOfStudy, level: Level | null) => ({
  waterKg: level?.of === 'volume' ? level.waterKg : waterKg,
  setting: level?.of === 'setting' ? level.setting : setting,
  windMS: level?.of === 'wind' ? level.windMS : 0,
})

/** At this setting, where it was burned so before. */
function calmLengths({ lengths }: PastRuns, setting: Setting | null): number[] {
  const alike = lengths.filter((one) => one.setting === setting)
  return (alike.length > 0 ? alike : lengths).flatMap(({ s, windMS }) => ((windMS ?? 0) < CALM_MS ? [s] : []))
}

/** Wind takes 1 + (v/v₀)ⁿ of the useful heat per gram. */
const slowedBy = ({ flame }: PastRuns, windMS: number): number =>
  windMS === 0 || flame === null ? 1 : 1 + (windMS / flame.v0.value) ** flame.n.value

function waitsOf(
  { parts }: ArmFacts,
  { waterKg }: HeldOfStudy,
  { hardwareAboveAirK }: MethodBody,
  cooledInWater: boolean,
): { burner: Wait; pot: Wait } {
  const pot = parts.find(({ role }) => role === 'pot')?.properties as PotProperties | undefined
  const capacity = potHeatCapacity(pot?.massKg ?? null, pot?.material ?? null)
  const lossWPerK = lossOf(pot?.diameterM ?? null, waterKg)
  const body = { capacityJPerK: capacity.jPerK, capacityU: capacity.u, lossWPerK, lossU: POT_LOSS_U * lossWPerK }
  const withinK = hardwareAboveAirK ?? WITHIN_K
  return {
    burner: BURNER_COOLS,
    pot: cooledInWater ? COOLED_IN_WATER : coolDownWait(body, { hotC: POURED_C, airC: ROOM_C, withinK }),
  }
}

/** An emptied pot loses heat by all of its wall. */
function lossOf(diameterM: number | null, waterKg: number): number {
  const { lidM2, sideM2 } = potAreas(diameterM, waterKg)
  return lossFromGeometry(
    {
      lidM2,
      sideM2,
      filmWPerM2K: LOSS_ESTIMATE.filmWPerM2K.value,
      sideShare: 1,
      windSlopePerMS: LOSS_ESTIMATE.windSlopePerMS.value,
      closeCone: false,
    },
    0,
  )
}

/** The flame goes on as in calm for as long as it burns. */
const fuelOf = ({ mean }: PastRuns, waterKg: number, longer: number): number | null =>
  mean === null ? null : (mean.gPerL * waterKg * longer) / 1000
