/** Temperatures of runs laid over each other, from pot-on, lighting or the boil on. */
import { thinTrace } from '../../core/trace/thinTrace'
import { isUuid } from '../../shared/uuid'
import { TRACE_ALIGNS, type TraceAlign, type TracesAnswer } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { dayOf } from '../runs/dayOf'
import { findRuns, type FoundRun } from '../runs/repository/findRuns'
import { idsIn, type AskedQuery } from './askedView'

/** More lines in one drawing are told apart by nobody. */
const MOST = 8
const DRAWN_SAMPLES = 400

export async function tracesQuestion(db: Connection, query: AskedQuery): Promise<TracesAnswer | string> {
  const ids = idsIn(query.runs).filter(isUuid)
  if (ids.length === 0) return 'No run is named. Pick some in the logbook, then lay their traces over each other.'
  const found = new Map((await findRuns(db, ids.slice(0, MOST))).map((run) => [run.record.id, run]))
  const align = TRACE_ALIGNS.find((one) => one === query.align) ?? 'potOn'
  const lines: TracesAnswer['lines'] = []
  const left: TracesAnswer['left'] = ids
    .slice(MOST)
    .map((id) => ({ id, why: `more than ${MOST} lines are told apart by nobody` }))
  for (const id of ids.slice(0, MOST)) {
    const run = found.get(id)
    const zero = run === undefined ? null : zeroOf(run, align)
    const why = whyNot(run, zero, align)
    if (why === null) lines.push(lineOf(run!, zero!))
    else left.push({ id, why })
  }
  return { align, lines, left }
}

function whyNot(run: FoundRun | undefined, zero: number | null, align: TraceAlign): string | null {
  if (run === undefined) return 'there is no run of this id here'
  if (run.stored.trace.length === 0) return `${run.record.setup}: no trace`
  return zero === null ? `${run.record.setup}: ${WHAT[align]} was not marked` : null
}
const WHAT: Record<TraceAlign, string> = { potOn: 'pot-on', lit: 'lighting', boil: 'the boil' }

const BOILS = ['rollingBoil', 'probeAtBoil', 'firstBubbles', 'targetReached'] as const

const markOf = ({ stored }: FoundRun, kind: string): number | null =>
  stored.events.find((event) => event.kind === kind)?.s ?? null

const boilOf = (run: FoundRun): number | null => BOILS.map((kind) => markOf(run, kind)).find((s) => s !== null) ?? null

const zeroOf = (run: FoundRun, align: TraceAlign): number | null =>
  align === 'boil' ? boilOf(run) : markOf(run, align)

function lineOf(run: FoundRun, zero: number): TracesAnswer['lines'][number] {
  const { record, stored } = run
  const boilS = boilOf(run)
  return {
    id: record.id,
    name: `${record.setup}, ${dayOf(record.startedAt, record.zone)}`,
    trace: thinTrace(stored.trace, DRAWN_SAMPLES).map(([s, tempC]): [number, number] => [s - zero, tempC]),
    boilS: boilS === null ? null : boilS - zero,
  }
}
