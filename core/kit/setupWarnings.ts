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
export function setupWarnings(parts: SetupParts): SetupWarning[] {
  const diameterM = parts.pot?.diameterM ?? null
  return [screenWarning(parts), ...(diameterM === null ? [] : widthWarnings(diameterM, parts))].filter(
    (one) => one !== null,
  )
}

function screenWarning({ burner, screened }: SetupParts): SetupWarning | null {
  if (!screened || burner === null || !CANISTER_BELOW.includes(burner.kind)) return null
  return {
    code: 'screen-round-canister',
    text: 'Never wrap a windscreen round a burner that sits on its canister: the canister overheats and may burst. Leave the canister side open, or move the burner to a hose. If the canister is hot to the touch, shut off.',
  }
}

/** A pot stands on its stand, else on the burner's own supports. */
function widthWarnings(diameterM: number, { burner, stand }: SetupParts): (SetupWarning | null)[] {
  const supportM = burner?.supportM ?? null
  return stand === null ? [onBurner(diameterM, supportM)] : [onStand(diameterM, stand.supportM)]
}

const onStand = (diameterM: number, supportM: number | null): SetupWarning | null =>
  supportM === null || diameterM <= supportM
    ? null
    : {
        code: 'pot-wider-than-stand',
        text: `The pot (${mm(diameterM)}) is wider than its stand (${mm(supportM)}): it tips when stirred or knocked, and a spilled pot scalds.`,
      }

const onBurner = (diameterM: number, supportM: number | null): SetupWarning | null =>
  supportM === null || diameterM <= WIDEST_ON_SUPPORTS * supportM
    ? null
    : {
        code: 'pot-wide-on-burner',
        text: `The pot (${mm(diameterM)}) is more than twice as wide as the burner’s supports (${mm(supportM)}): it tips easily, and its heat comes back to the burner.`,
      }
