/** The working of a number, written down by the code that worked it out. */
import { formatNumber, decimalsFor } from '../quantity/format'
import type { SourceKey } from '../constants/sources'
import type { Share } from '../uncertainty/propagate'

export interface WorkingInput {
  /** As it stands in the formula. */
  symbol: string
  name: string
  value: number | null
  unit: string
  /** Standard uncertainty, in the input's unit. */
  u?: number | null
  from: 'measured' | 'assumed' | 'computed' | 'constant' | 'reference'
  /** Path of this input's own working, where it has one. */
  path?: string
}

export interface Working {
  path: string
  title: string
  value: number | null
  unit: string
  /** With the symbols of the inputs in braces. */
  formula: string
  inputs: WorkingInput[]
  source: SourceKey
  note?: string
  /** Shares of the variance, largest first. */
  shares?: Share[]
}

/** Takes a working down; absent where nobody asked. */
export type AddWorking = (working: Working) => void

const finite = (value: number | null | undefined): number | null =>
  value !== null && value !== undefined && Number.isFinite(value) ? value : null

/** A working as it leaves the core: what is not finite is null, an input whose share is not a number has none. */
export const finiteWorking = (working: Working): Working => ({
  ...working,
  value: finite(working.value),
  inputs: working.inputs.map((input) => ({
    ...input,
    value: finite(input.value),
    ...(input.u === undefined ? {} : { u: finite(input.u) }),
  })),
  ...(working.shares === undefined
    ? {}
    : { shares: working.shares.filter(({ effect, share }) => Number.isFinite(effect) && Number.isFinite(share)) }),
})

/** The formula as it is read: symbols without their braces. */
export const formulaText = (working: Working): string => working.formula.replace(/[{}]/g, '')

/** The same formula with its numbers. */
export function substitutedFormula(working: Working): string {
  return working.formula.replace(/\{([^}]+)\}/g, (_, symbol: string) => {
    const input = working.inputs.find((one) => one.symbol === symbol)
    if (!input || input.value === null) return symbol
    const text = formatNumber(input.value, Math.min(decimalsFor(input.value, 5), 6))
    return text.startsWith('−') ? `(${text})` : text
  })
}

/** A working as plain text: value, formula, the same with its numbers, inputs. */
export function workingText(working: Working): string {
  const figure = (value: number | null) =>
    value === null ? 'not measured' : formatNumber(value, Math.min(decimalsFor(value, 5), 6))
  const inputs = working.inputs.map(({ name, value, u, unit, from }) =>
    `  ${name}: ${figure(value)}${u ? ` ± ${formatNumber(u, Math.min(decimalsFor(u, 2), 6))}` : ''} ${unit} (${from})`.replace(
      '  (',
      ' (',
    ),
  )
  return [
    `${working.title}: ${figure(working.value)} ${working.unit}`,
    `= ${formulaText(working)}`,
    `= ${substitutedFormula(working)}`,
    ...inputs,
  ].join('\n')
}
