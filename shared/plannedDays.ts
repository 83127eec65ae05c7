/** A study's runs on its days: when each is burned, what is left, and when it is all over. */
import { TZDate } from '@date-fns/tz'
import type { DayToSchedule, LeftWhy } from '../core/plan/burningTimes'
import { finishOf, type Finish, type UncertainRun } from '../core/plan/finish'
import type { ScheduledRun } from '../core/plan/runHolds'
import { scheduleDay } from '../core/plan/scheduleDay'
import type { StudyPage } from './plan'

/** Water weighed and brought to its start, fuel weighed, all set up; and weighed again. Source: estimate. */
const PREPARE_S = 240
const WEIGH_S = 60
const SCALE = 'scale'

export interface PlannedDay {
  day: string
  fromMs: number
  toMs: number
  runs: ScheduledRun[]
  finish: Finish | null
}

export interface PlannedDays {
  days: PlannedDay[]
  left: { id: string; why: LeftWhy }[]
}

/** Each day takes what the one before left, in the order of the study. */
export function plannedDays(study: StudyPage): PlannedDays {
  let waiting = runsToSchedule(study)
  let left: PlannedDays['left'] = []
  const days = study.days.days.map((one) => {
    const day = dayToSchedule(study, one)
    const { runs, left: over } = scheduleDay(waiting, day)
    const fitted = new Set(runs.map(({ id }) => id))
    const own = waiting.filter(({ id }) => fitted.has(id))
    waiting = waiting.filter(({ id }) => !fitted.has(id))
    left = over
    return { day: one.day, fromMs: day.fromMs, toMs: day.toMs, runs, finish: finishOf(own, day, study.seed) }
  })
  return { days, left }
}

/** What was burned is no more to be scheduled. */
const runsToSchedule = (study: StudyPage): UncertainRun[] =>
  study.runs.flatMap((run) => {
    const { burner, pot } = study.arms.find(({ id }) => id === run.armId)!
    const length = study.lengths.find((one) => one.armId === run.armId && one.levelId === run.levelId)!
    const waits = study.waits.find(({ armId }) => armId === run.armId)!
    if (run.runId !== null) return []
    const burnerPart = { id: burner.id, coolS: waits.burner.s }
    return [
      {
        id: run.id,
        block: run.block,
        personId: run.personId ?? '',
        stationId: run.station ?? '',
        hardware: pot === null ? [burnerPart] : [burnerPart, { id: pot.id, coolS: waits.pot.s }],
        thermometerId: null,
        scaleId: SCALE,
        containerId: run.containerId,
        prepareS: PREPARE_S,
        burnS: length.burnS,
        spread: length.spread,
        coolSpread: waits.burner.u / waits.burner.s,
        // Gas is shut off and weighed; what is poured, laid in or hot is weighed when it is cool.
        weighAfterS: study.held.fuelForm === 'gas' ? 0 : waits.burner.s,
        weighS: WEIGH_S,
        windows: null,
        stands: null,
      },
    ]
  })

function dayToSchedule({ days, held }: StudyPage, { day, from, to }: StudyPage['days']['days'][number]): DayToSchedule {
  const span = { fromMs: momentAt(day, from, held.zone), toMs: momentAt(day, to, held.zone) }
  return {
    ...span,
    people: days.people.map((person) => ({ ...person, ...span })),
    stationIds: days.stations,
    windows: [span],
  }
}

/** A clock's time at the place, whatever its clocks do that day [ms since 1970]. */
export function momentAt(day: string, time: string, zone: string): number {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number]
  const [hour, minute] = time.split(':').map(Number) as [number, number]
  return new TZDate(year, month - 1, date, hour, minute, zone).getTime()
}
