/** The limit nothing may beat: the heat in the fuel. And what kinds of set-up reach. */
import type { Flag } from '../formats/answer'
import type { BurnerKind } from '../formats/document'
import type { Slip } from './slips'

/** Flags of what cannot be: such a run leans on no other, and enters no mean. */
const IMPOSSIBLE: ReadonlySet<string> = new Set(['impossible-efficiency', 'impossible-power'])
export const isImpossible = (flags: readonly Flag[]): boolean => flags.some((flag) => IMPOSSIBLE.has(flag.code))

/** Efficiencies seen per kind of set-up. Source: commonPractice. */
const BANDS: Record<'gas' | 'finned' | 'alcohol' | 'solid' | 'wood', readonly [number, number]> = {
  gas: [0.3, 0.65],
  finned: [0.45, 0.85],
  alcohol: [0.2, 0.65],
  solid: [0.15, 0.55],
  wood: [0.05, 0.45],
}

const BAND_OF: Record<BurnerKind, keyof typeof BANDS> = {
  'canister-top': 'gas',
  integrated: 'finned',
  'remote-gas': 'gas',
  'liquid-pressure': 'gas',
  alcohol: 'alcohol',
  gel: 'alcohol',
  solid: 'solid',
  wood: 'wood',
}

export interface Plausibility {
  burner: BurnerKind | null
  finned: boolean | null
  calm: boolean
  /** What the efficiency would be without each slip; the likelier first. */
  slips: () => readonly Slip[]
}

/**
 * Says when an efficiency is impossible (above 100 %), or lies outside what its kind of set-up does by more than its
 * expanded uncertainty,
 * and names the likeliest single slip that would bring it there.
 * @param efficiency as a fraction; `u` its standard uncertainty. Source: commonPractice.
 */
export function efficiencyFlags(efficiency: number, u: number, { burner, finned, calm, slips }: Plausibility): Flag[] {
  const percent = Math.round(efficiency * 100)
  const band = burner === null ? null : BANDS[finned ? 'finned' : BAND_OF[burner]]
  if (efficiency > 1)
    return [
      {
        code: 'impossible-efficiency',
        severity: 'error',
        text: `Impossible: ${percent} % of the fuel’s heat.`,
        ...suggestion(slips(), band ?? ANY_BAND),
      },
    ]
  if (band === null) return []
  const [low, high] = band
  const expanded = Number.isFinite(u) ? 2 * u : 0
  // Wind may take any share of the heat: only in calm is too little doubtful.
  if ((!calm || efficiency + expanded >= low) && efficiency - expanded <= high) return []
  const usual = `${Math.round(low * 100)} to ${Math.round(high * 100)} %`
  return [
    {
      code: 'doubtful-efficiency',
      severity: 'warning',
      text: `Doubtful: ${percent} % of the fuel’s heat, where such a set-up reaches ${usual}.`,
      ...suggestion(slips(), band),
    },
  ]
}

const ANY_BAND: readonly [number, number] = [0.05, 0.85]
const NO_SLIP = 'Check water, fuel and start temperature.'

function suggestion(slips: readonly Slip[], [low, high]: readonly [number, number]): Pick<Flag, 'slip'> {
  return { slip: slips.find(({ efficiency }) => efficiency >= low && efficiency <= high)?.text ?? NO_SLIP }
}
