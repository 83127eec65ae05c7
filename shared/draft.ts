/** A draft as it travels: whatever has been typed so far, right or wrong, and its stop-watch. */
import { boolean, mixed, number, object, ValidationError } from 'yup'
import type { BenchState } from '../core/run/benchStep'
import type { TypedRun } from './typedRun'
import { UUID } from './uuid'
import { fieldProblems, type FieldProblem } from './readProblems'
import { traceProblems } from './traceProblems'
import { string } from './words'

export interface DraftBody {
  typed: TypedRun
  lane: BenchState | null
}
export interface Draft {
  id: string
  body: DraftBody
  revision: number
  updatedAt: string
}
/** `revision` is the one last seen; `force` overwrites another's. */
export interface SentDraft {
  body: DraftBody
  revision: number
  force: boolean
}

const schema = object({
  body: object({
    typed: object({
      id: string().required().matches(UUID),
      units: string().required(),
      measured: object().required(),
      times: object().required(),
      notes: string().defined(),
    }).required(),
    lane: mixed().nullable().defined(),
  }).required(),
  revision: number().required().integer().min(0),
  force: boolean().required(),
})

/** A draft is kept as it is, wrong readings and all: only its shape is checked. */
export function readSentDraft(input: unknown): { ok: true; sent: SentDraft } | { ok: false; problems: FieldProblem[] } {
  try {
    schema.validateSync(input, { strict: true, abortEarly: false })
    const sent = input as SentDraft
    const problems = traceProblems(sent.body.typed.trace)
    return problems.length > 0 ? { ok: false, problems } : { ok: true, sent }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
