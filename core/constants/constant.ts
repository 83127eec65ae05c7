import type { SourceKey } from './sources'

/** A physical constant. One without a reference does not compile. */
export interface Constant {
  value: number
  unit: string
  standardUncertainty: number
  reference: SourceKey
}
