/** What an act is answered with, and what whoever takes it is told. */
import type { BenchAck, BenchAct, BenchDeed } from '../../shared/benchAct'
import type { FieldProblem } from '../../shared/readProblems'
import type { RunOnBench } from './repository/lanes'

export type Ack = Omit<BenchAck, 'id'>
export type { RunOnBench }
export const refused = (text: string, path = ''): Ack => ({ as: 'refused', problems: [{ path, text }] })
export const refusedFor = (problems: FieldProblem[]): Ack => ({ as: 'refused', problems })
export const TAKEN: Ack = { as: 'taken' }

export interface Deed<T extends BenchDeed['type']> {
  act: BenchAct
  deed: Extract<BenchDeed, { type: T }>
  deviceId: string
}
