/** What is to be said of the times of a run. */
import type { Flag } from '../formats/answer'
import type { ReduceOptions } from '../formats/document'
import type { DerivedTimes } from '../run/deriveTimes'

/** Kinds in which no pot is brought to anything: neither pot-on nor a boil is missed. */
const WITHOUT_HEATING: readonly string[] = ['coolDown', 'burnOff', 'warmUp']

export function timeFlags(times: DerivedTimes, { boil, clock }: ReduceOptions, kind: string): Flag[] {
  if (WITHOUT_HEATING.includes(kind)) return []
  const flags: Flag[] = []
  if (times.potOnAssumed)
    flags.push({
      code: 'pot-on-assumed',
      severity: 'note',
      text: 'Pot-on was not marked: taken as the lighting (assumed).',
    })
  if (times.clockZeroS === null)
    flags.push({
      code: 'clock-not-marked',
      severity: 'warning',
      text: `The clock starts at "${clock}", which was not marked.`,
    })
  if (times.burns.length > 1)
    flags.push({
      code: 'several-burns',
      severity: 'note',
      text: `${times.burns.length} burns: the flame is taken as one, and what the gaps cost stays in the figure.`,
    })
  if (times.boilS === null && times.boilsMarked.length > 0) {
    const wanted = typeof boil === 'object' ? `the target ${boil.targetC} °C` : `"${boil}"`
    flags.push({
      code: 'boil-not-by-convention',
      severity: 'warning',
      text: `Marked: ${times.boilsMarked.join(', ')}. The convention asks for ${wanted}.`,
    })
  } else if (times.boilS === null && times.ended === null) {
    flags.push({ code: 'no-end-marked', severity: 'warning', text: 'Neither a boil nor an end is marked.' })
  }
  if (times.ended === 'stopped') {
    const reason = times.stoppedReason ? ` (${times.stoppedReason})` : ''
    flags.push({ code: 'stopped', severity: 'note', text: `Stopped from outside${reason}. Not a failure to boil.` })
  }
  return flags
}
