/** The sentence that a study asks. */
import { formatNumber } from '../quantity/format'
import type { Level, StudyKind } from './study'

export interface ArmParts {
  /** Of the set-up. */
  name: string
  parts: readonly { role: string; versionId: string; name: string }[]
}

/** What kind of study arms and levels make. */
export function kindOfStudy(arms: number, levels: readonly Level[]): StudyKind {
  const [first] = levels
  if (first !== undefined) return KIND_OF_LEVEL[first.of]
  return arms > 2 ? 'ranking' : arms === 2 ? 'paired' : 'ring'
}
const KIND_OF_LEVEL: Record<Level['of'], StudyKind> = {
  wind: 'wind',
  setting: 'setting',
  air: 'cold',
  volume: 'volume',
}

/** "Does Close cone save 10 % or more on Lahar, in calm and 2 fan steps?" */
export function studySentence(arms: readonly ArmParts[], levels: readonly Level[], difference: number): string {
  const [first, second] = arms
  if (first === undefined) return ''
  if (second === undefined) return `${ASKED_OF_ONE[levels[0]?.of ?? 'none'].replace('…', first.name)}?`
  const among = levelWords(levels)
  if (arms.length > 2) return `Who is first of ${arms.length} set-ups${among}?`
  const less = `${formatNumber(difference * 100, 0)}\u202f%`
  const part = swappedPart(first, second)
  if (part === null) return `Does ${second.name} take ${less} less than ${first.name}${among}?`
  return `Does ${part.name} save ${less} or more on ${part.on}${among}?`
}

const ASKED_OF_ONE: Record<Level['of'] | 'none', string> = {
  wind: 'How does … stand wind',
  setting: 'Which flame is thriftiest on …',
  air: 'What does cold do to …',
  volume: 'What does more water do to …',
  none: 'What does … take',
}

function levelWords(levels: readonly Level[]): string {
  const [first] = levels
  if (first === undefined) return ''
  const n = levels.length
  if (first.of === 'setting') return `, at ${n} flames`
  if (first.of === 'air') return `, in ${n} air temperatures`
  if (first.of === 'volume') return `, of ${n} volumes`
  const calm = levels.some((level) => level.of === 'wind' && level.windMS === 0)
  const steps = calm ? n - 1 : n
  return `, in ${calm ? 'calm and ' : ''}${steps === 1 ? 'one fan step' : `${steps} fan steps`}`
}

/** The one part in which they differ, but the burner; null: another, or several. */
function swappedPart(first: ArmParts, second: ArmParts): { name: string; on: string } | null {
  const versionOf = ({ parts }: ArmParts, role: string) => parts.find((part) => part.role === role)?.versionId
  const roles = [...new Set([...first.parts, ...second.parts].map(({ role }) => role))]
  const [role, ...others] = roles.filter((one) => versionOf(first, one) !== versionOf(second, one))
  const part = second.parts.find((one) => one.role === role)
  const burner = second.parts.find((one) => one.role === 'burner')
  if (others.length > 0 || part === undefined || burner === undefined || role === 'burner') return null
  return { name: part.name, on: burner.name }
}
