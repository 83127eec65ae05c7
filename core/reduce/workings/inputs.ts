/** Inputs of workings, by where they come from. */
import type { WorkingInput } from '../../explain/working'

interface Known {
  /** Standard uncertainty, in the input's unit. */
  u?: number | null
  /** Path of the input's own working. */
  path?: string
}
const inputFrom =
  (from: WorkingInput['from']) =>
  (symbol: string, name: string, value: number | null, unit: string, known: Known = {}): WorkingInput => ({
    symbol,
    name,
    value,
    unit,
    from,
    ...known,
  })

export const measured = inputFrom('measured')
export const computed = inputFrom('computed')
export const assumed = inputFrom('assumed')
export const constant = inputFrom('constant')
export const reference = inputFrom('reference')

/** Measured where a reading stands for it, else assumed. */
export const measuredIf = (reading: unknown) => (reading === null ? assumed : measured)

export const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)
