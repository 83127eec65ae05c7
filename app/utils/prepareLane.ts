/** The kit read, and a lane set up with it: in this browser first. */
import { v7 as uuidv7 } from 'uuid'
import { benchNowMs } from '~/bench/clock'
import { keep, kept } from '~/bench/disk'
import type { Preparation } from '#shared/benchAct'
import type { KitChoices } from '#shared/kitChoices'
import { previewLane } from './preparation'

/** The kit to choose from: the server's, or as it was when last heard. */
export async function readChoices(): Promise<KitChoices> {
  try {
    const choices = await $fetch<KitChoices>('/api/kit', { retry: 0 })
    await keep('choices', choices)
    return choices
  } catch (error) {
    const before = await kept<KitChoices>('choices')
    if (before) return before
    throw error
  }
}

/** Sets the lane up, in this browser first. */
export async function prepareLane(
  bench: ReturnType<typeof useBench>,
  choices: KitChoices,
  preparation: Preparation,
): Promise<void> {
  const runId = uuidv7()
  const { units } = usePreferences()
  const zone = choices.places.find((one) => one.id === preparation.placeId)?.zone ?? preparation.zone
  const whole = { ...preparation, zone }
  await bench.press(
    runId,
    { type: 'prepare', preparation: whole },
    previewLane(choices, whole, { runId, atMs: benchNowMs(), units: units.value }),
  )
  bench.selected = preparation.lane
}
