/** The contract's request: its schema, and the reading of a document that may be wrong in parts. */
import { ValidationError, type Schema } from 'yup'
import {
  DEFAULT_THETA,
  DEFAULT_UNCERTAINTY,
  type BoilConvention,
  type ReduceRequest,
  type RunDocument,
} from '../core/formats/document'
import { STANDARD_BENCH } from '../core/normalise/reference'
import { MAX_RUNS, MAX_TEXT } from './limits'
import { fieldProblems, shown, type FieldProblem } from './readProblems'
import { traceProblems } from './traceProblems'
import { runDocumentSchema, envelopeSchema } from './runDocumentSchema'

type Loose = Record<string, unknown>

const isObject = (got: unknown): got is Loose => typeof got === 'object' && got !== null && !Array.isArray(got)

export type ReadRequest = { ok: true; request: ReduceRequest } | { ok: false; problems: FieldProblem[] }

/**
 * Reads a parsed JSON document: an envelope that is wrong stops it; a run that is wrong comes back in its place as an
 * error.
 */
export function readReduceRequest(document: unknown): ReadRequest {
  if (!isObject(document))
    return { ok: false, problems: [{ path: '$', text: `read ${shown(document)}, expected an object` }] }
  const { runs, ...envelope } = document
  const problems = problemsOf(envelopeSchema, envelope)
  if (!Array.isArray(runs)) problems.push({ path: 'runs', text: `read ${shown(runs)}, expected a list of runs` })
  else if (runs.length > MAX_RUNS)
    problems.push({ path: 'runs', text: `read ${runs.length} runs, expected at most ${MAX_RUNS}` })
  if (problems.length > 0) return { ok: false, problems }
  return { ok: true, request: { ...fillOptions(envelope), runs: (runs as unknown[]).map(readRunDocument) } }
}

/** One run, or its problems on one line. */
export function readRunDocument(run: unknown, index: number): ReduceRequest['runs'][number] {
  const at = `runs[${index}]`
  if (!isObject(run)) return { id: at, error: `${at}: read ${shown(run)}, expected an object` }
  const { trace, scaleTrace, ...rest } = run
  const problems = [
    ...problemsOf(runDocumentSchema, rest),
    ...traceProblems(trace),
    ...traceProblems(scaleTrace, 'scaleTrace', 'g'),
  ]
  const id = typeof run.id === 'string' && run.id !== '' ? run.id.slice(0, MAX_TEXT.name) : at
  if (problems.length > 0)
    return { id, error: problems.map((problem) => `${at}.${problem.path}: ${problem.text}`).join('; ') }
  return fillRun(run)
}

function problemsOf(schema: Schema, got: unknown): FieldProblem[] {
  try {
    schema.validateSync(got, { abortEarly: false, strict: true })
    return []
  } catch (error) {
    if (error instanceof ValidationError) return fieldProblems(error)
    throw error
  }
}

/** The options as given, and the contract's where a request names none. */
export function fillOptions(envelope: Loose): Omit<ReduceRequest, 'runs'> {
  const or = <T>(got: unknown, otherwise: T): T => (got === undefined || got === null ? otherwise : (got as T))
  return {
    format: 'vulcanum-reduce',
    version: 1,
    reference: withDefaults(STANDARD_BENCH, envelope.reference),
    model: or(envelope.model, 'loss'),
    clock: or(envelope.clock, 'potOn'),
    boil: or<BoilConvention>(envelope.boil, 'rollingBoil'),
    litre: or(envelope.litre, 'putIn'),
    flame: or(envelope.flame, true),
    theta: or(envelope.theta, DEFAULT_THETA),
  }
}

/** The given object's own values where they are not null, else the defaults. */
function withDefaults<T extends object>(defaults: T, got: unknown): T {
  const given = Object.entries(isObject(got) ? got : {}).filter(
    ([key, one]) => key in defaults && one !== null && one !== undefined,
  )
  return { ...defaults, ...Object.fromEntries(given) }
}

export const defaultOptions = (): Omit<ReduceRequest, 'runs'> => fillOptions({})

const NOTHING = {
  place: {
    altitudeM: null,
    stationPressureHPa: null,
    seaLevelPressureHPa: null,
    airC: null,
    windMS: null,
    windHeightM: null,
    humidityPct: null,
  },
  water: { massG: null, startC: null, endMassG: null, endC: null, snowG: null, by: 'weighed' },
  pot: { massG: null, material: null, diameterMm: null, finned: null },
  burner: { kind: null, head: null },
  container: { id: null, fillShare: null, startC: null },
  instruments: { scale: null, thermometer: null },
  thermometer: { offsetK: 0, offsetU: 1, lagS: 0 },
  fuel: {
    kind: null,
    lhvMJPerKg: null,
    usedG: null,
    beforeG: null,
    afterG: null,
    leftoverG: null,
    usedMl: null,
    densityGPerMl: null,
    moisturePct: null,
    charG: null,
    scaleResolutionG: null,
    scaleAccuracyG: null,
    loadG: null,
    burnOutShare: false,
  },
} as const

/** A checked run with every absent field null. */
export function fillRun(run: Loose): RunDocument {
  const or = <T>(got: unknown, otherwise: T): T => (got === undefined || got === null ? otherwise : (got as T))
  return {
    id: run.id as string,
    setup: or(run.setup, null),
    origin: or(run.origin, 'measured'),
    kind: or(run.kind, 'boil'),
    place: withDefaults<RunDocument['place']>(NOTHING.place, run.place),
    water: withDefaults<RunDocument['water']>(NOTHING.water, run.water),
    pot: withDefaults<RunDocument['pot']>(NOTHING.pot, run.pot),
    lid: or(run.lid, null),
    screen: or(run.screen, null),
    burner: withDefaults<RunDocument['burner']>(NOTHING.burner, run.burner),
    fuel: withDefaults<RunDocument['fuel']>(NOTHING.fuel, run.fuel),
    lossWPerK: or(run.lossWPerK, null),
    boilBy: or(run.boilBy, null),
    setting: or(run.setting, null),
    container: isObject(run.container) ? withDefaults(NOTHING.container, run.container) : null,
    thermometer: isObject(run.thermometer) ? withDefaults(NOTHING.thermometer, run.thermometer) : null,
    instruments: withDefaults<RunDocument['instruments']>(NOTHING.instruments, run.instruments),
    uncertainty: withDefaults(DEFAULT_UNCERTAINTY, run.uncertainty),
    events: or(run.events, []),
    trace: sorted(or(run.trace, [])),
    scaleTrace: sorted(or(run.scaleTrace, [])),
  }
}

const sorted = (trace: [number, number][]): [number, number][] =>
  isSorted(trace) ? trace : [...trace].sort((a, b) => a[0] - b[0])

function isSorted(trace: readonly [number, number][]): boolean {
  for (let i = 1; i < trace.length; i++) if (trace[i]![0] < trace[i - 1]![0]) return false
  return true
}
