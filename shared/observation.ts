/**
 * What is seen of a run, on scales whose every step has words: another tester would choose the same. Source:
 * commonPractice.
 */
export const OBSERVATIONS = {
  soot: {
    label: 'Soot on the pot',
    steps: {
      none: 'none',
      film: 'a film, wipes off with a finger',
      patches: 'black patches',
      thick: 'thick and black, comes off on everything',
    },
  },
  residue: {
    label: 'Residue',
    steps: {
      none: 'none',
      little: 'a little, dry, brushes off',
      sticky: 'sticky or waxy',
      much: 'much, has to be scraped',
    },
  },
  wiping: {
    label: 'Wiping',
    steps: {
      dry: 'clean with a dry cloth',
      wet: 'clean with a wet cloth',
      soap: 'wants soap',
      scouring: 'wants scouring',
    },
  },
  smell: {
    label: 'Smell',
    steps: { none: 'none', near: 'only near the flame', room: 'fills the place', acrid: 'acrid: eyes or throat' },
  },
  smoke: {
    label: 'Smoke',
    steps: { none: 'none', lighting: 'while lighting only', thin: 'thin, all along', thick: 'thick' },
  },
  noise: {
    label: 'Noise',
    steps: {
      silent: 'silent',
      hiss: 'a hiss: talk as usual',
      roar: 'a roar: raise your voice',
      loud: 'cannot hear the water',
    },
  },
  lighting: {
    label: 'Lighting',
    steps: { first: 'at the first try', second: 'at the second or third', many: 'many tries', not: 'would not light' },
  },
  stability: {
    label: 'Stability',
    steps: { firm: 'firm when knocked', wobbles: 'wobbles, stays', tips: 'tips easily', fell: 'fell or spilled' },
  },
  flame: {
    label: 'Flame pattern',
    steps: {
      even: 'even contact with the pot',
      spilling: 'spilling down-wind',
      lifting: 'lifting up-wind',
      off: 'off the pot',
    },
  },
} as const satisfies Record<string, { label: string; steps: Record<string, string> }>

export type ObservationScale = keyof typeof OBSERVATIONS
export const OBSERVATION_SCALES = Object.keys(OBSERVATIONS) as ObservationScale[]
export const stepWords = (scale: ObservationScale, step: string): string =>
  (OBSERVATIONS[scale].steps as Record<string, string>)[step] ?? step
export interface ObservationLine {
  id: string
  scale: ObservationScale
  step: string
  note: string
  atMs: number | null
  person: string
  at: string
}
