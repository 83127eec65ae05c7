import type { H3Event } from 'h3'
import type { FieldProblem } from '#shared/readProblems'

/** Every refusal looks alike: a status in the 400s, and problems with the path of their field. */
export function answerProblems(event: H3Event, status: number, problems: FieldProblem[]): { problems: FieldProblem[] } {
  setResponseStatus(event, status)
  return { problems }
}
