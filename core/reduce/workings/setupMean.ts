/** The working of a mean of a set-up's runs. */
import type { Working } from '../../explain/working'
import type { SetupMean } from '../../formats/answer'
import { computed } from './inputs'

/** @param leftOut how many were impossible */
export function setupMeanWorking({ n, meanGPerL, meanU, sdGPerL, ci95 }: SetupMean, leftOut: number): Working {
  const interval =
    ci95 === null
      ? 'One run: no scatter, no interval.'
      : `95 % from ${ci95[0].toFixed(2)} to ${ci95[1].toFixed(2)} g/L, by Student’s factor for its effective degrees of freedom.`
  const left = leftOut > 0 ? ` Left out, since impossible: ${leftOut}.` : ''
  return {
    path: 'setup.mean',
    title: 'Mean of the set-up’s runs',
    value: meanGPerL,
    unit: 'g/L',
    source: 'gum',
    formula: 'exp(Σ ln(g/L) / {n}),  u² = max({s}², u_rand²)/{n} + u_shared²',
    inputs: [
      computed('n', 'Runs, wholly normalised', n, ''),
      computed('s', 'Scatter between them', sdGPerL, 'g/L'),
      computed('u', 'Standard uncertainty of the mean', meanU, 'g/L'),
    ],
    note: `${interval} What all share (Θ, the flame, the scale) is not divided by n.${left}`,
  }
}
