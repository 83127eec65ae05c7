/** What each part of the kit and the conditions does to the fuel, by regression on logarithms. */
import { leastSquares } from './leastSquares'
import { studentFactor95, studentTwoSided } from './student'

export interface FactorRun {
  gPerL: number
  /** Kit and conditions: a word is a level, a number a slope. */
  factors: Readonly<Record<string, string | number>>
}

interface FactorEffect {
  factor: string
  /** Against which level; null for a number. */
  level: string | null
  base: string | null
  /** Relative change of fuel per litre (per unit, for a number). */
  change: number
  ci95: [number, number]
  p: number
}

export interface FactorAnswer {
  effects: FactorEffect[]
  /** Factors that always changed together, so that none of them can be told from the others. */
  aliased: string[][]
  text: string[]
  /** Scatter about the fit, relative. */
  scatter: number
  freedom: number
}

interface Column {
  factor: string
  level: string | null
  base: string | null
  values: number[]
}

/**
 * ln(g/L) = b₀ + Σ bⱼ·xⱼ, words by their levels against the commonest one.
 * @returns null where there are no more runs than coefficients. Source: leastSquares.
 */
export function factorEffects(runs: readonly FactorRun[]): FactorAnswer | null {
  const names = [...new Set(runs.flatMap((run) => Object.keys(run.factors)))].sort()
  const all = names.flatMap((name) => columnsOf(name, runs))
  const aliased = aliasesOf(all)
  const told = all.filter((column) => !aliased.some((group) => group.includes(column.factor)))
  const rows = runs.map((_, i) => [1, ...told.map((column) => column.values[i]!)])
  const fit = leastSquares(
    rows,
    runs.map((run) => Math.log(run.gPerL)),
  )
  if (fit === null || fit.freedom < 1) return null
  const variance = fit.residualSumOfSquares / fit.freedom
  const factor95 = studentFactor95(fit.freedom)
  const effects = told.map(({ factor, level, base }, j): FactorEffect => {
    const b = fit.coefficients[j + 1]!
    const se = Math.sqrt(variance * fit.unscaledCovariance[j + 1]![j + 1]!)
    return {
      factor,
      level,
      base,
      change: Math.expm1(b),
      ci95: [Math.expm1(b - factor95 * se), Math.expm1(b + factor95 * se)],
      p: se === 0 ? 0 : studentTwoSided(b / se, fit.freedom),
    }
  })
  return {
    effects,
    aliased,
    scatter: Math.sqrt(variance),
    freedom: fit.freedom,
    text: [...effects.map(effectText), ...aliased.map(aliasText)],
  }
}

function columnsOf(factor: string, runs: readonly FactorRun[]): Column[] {
  const given = runs.map((run) => run.factors[factor] ?? 'not stated')
  if (given.every((value) => typeof value === 'number')) {
    const numbers = given as number[]
    return new Set(numbers).size < 2 ? [] : [{ factor, level: null, base: null, values: numbers }]
  }
  const words = given.map(String)
  const levels = [...new Set(words)].sort(
    (a, b) => words.filter((word) => word === b).length - words.filter((word) => word === a).length || (a < b ? -1 : 1),
  )
  return levels
    .slice(1)
    .map((level) => ({ factor, level, base: levels[0]!, values: words.map((word) => (word === level ? 1 : 0)) }))
}

/**
 * Groups of factors whose columns are built from one another: found by adding them one by one and looking which add
 * nothing new.
 */
function aliasesOf(columns: readonly Column[]): string[][] {
  const groups: Set<string>[] = []
  const kept: Column[] = []
  for (const column of columns) {
    const n = column.values.length
    const design = [Array.from({ length: n }, () => 1), ...kept.map((one) => one.values)]
    const rows = Array.from({ length: n }, (_, i) => design.map((values) => values[i]!))
    const onOthers = leastSquares(rows, column.values)
    const spread = column.values.reduce((sum, value) => sum + value * value, 0)
    if (onOthers === null || onOthers.residualSumOfSquares > 1e-9 * spread) {
      kept.push(column)
      continue
    }
    const partners = kept.filter((_, j) => Math.abs(onOthers.coefficients[j + 1]!) > 1e-6).map((one) => one.factor)
    groups.push(new Set([column.factor, ...partners]))
  }
  return merged(groups)
    .filter((group) => group.size > 1)
    .map((group) => [...group].sort())
}

function merged(groups: readonly Set<string>[]): Set<string>[] {
  const out: Set<string>[] = []
  for (const group of groups) {
    const touching = out.filter((other) => [...group].some((name) => other.has(name)))
    for (const other of touching) out.splice(out.indexOf(other), 1)
    out.push(new Set([...group, ...touching.flatMap((other) => [...other])]))
  }
  return out
}

const signed = (share: number): string =>
  `${share < 0 ? '−' : '+'}${Math.abs(100 * share).toFixed(Math.abs(share) < 0.0995 ? 1 : 0)} %`
const effectText = ({ factor, level, change, ci95, p }: FactorEffect): string =>
  `${level === null ? `${factor}, per unit` : `${factor} ${level}`}: ${signed(change)} (${signed(ci95[0])} to ${signed(ci95[1])})${p < 0.05 ? '' : ', not shown'}`
const aliasText = (group: readonly string[]): string =>
  `${group.slice(0, -1).join(', ')} and ${group.at(-1)} changed together. Cannot say which.`
