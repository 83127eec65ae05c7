/**
 * What to think of before a set-up is lit: combinations that are dangerous, or that spoil what is measured. Explained,
 * never forbidden.
 */
import type { BurnerKind } from '../formats/document'

type SetupWarningCode = 'screen-round-canister' | 'pot-wider-than-stand' | 'pot-wide-on-burner'

export interface SetupWarning {
  code: SetupWarningCode
  text: string
}

export interface SetupParts {
  burner: { kind: BurnerKind; supportM: number | null } | null
  pot: { diameterM: number | null } | null
  stand: { supportM: number | null } | null
  screened: boolean
}

/** A burner's own pot supports carry a pot of up to about twice their span. Source: commonPractice. */
const WIDEST_ON_SUPPORTS = 2
const CANISTER_BELOW: readonly BurnerKind[] = ['canister-top', 'integrated']
const mm = (metres: number) => `${Math.round(metres * 1000)} mm`

/** @returns each warning with its reason; none where a part or a dimension is not known. Source: commonPractice. */
export function setupWarnings({ burner, pot, stand, screened }: SetupParts): SetupWarning[] {
  const warnings: SetupWarning[] = []
  if (screened && burner !== null && CANISTER_BELOW.includes(burner.kind)) {
    warnings.push({
      code: 'screen-round-canister',
      text: 'Never wrap a windscreen round a burner that sits on its canister: the canister overheats and may burst. Leave the canister side open, or move the burner to a hose. If the canister is hot to the touch, shut off.',
    })
  }
  const diameterM = pot?.diameterM ?? null
  if (diameterM === null) return warnings
  if (stand !== null && stand.supportM !== null && diameterM > stand.supportM) {
    warnings.push({
      code: 'pot-wider-than-stand',
      text: `The pot (${mm(diameterM)}) is wider than its stand (${mm(stand.supportM)}): it tips when stirred or knocked, and a spilled pot scalds.`,
    })
  }
  if (stand === null && burner?.supportM != null && diameterM > WIDEST_ON_SUPPORTS * burner.supportM) {
    warnings.push({
      code: 'pot-wide-on-burner',
      text: `The pot (${mm(diameterM)}) is more than twice as wide as the burner’s supports (${mm(burner.supportM)}): it tips easily, and its heat comes back to the burner.`,
    })
  }
  return warnings
}
