/** A heating that was disturbed (the pot taken off, its lid lifted), as the one that it would have been. */
import { evaporationPower, type Evaporation } from './evaporation'
import { heatFlowFromTime } from './heatFlow'
import { heatingTime, type Heating } from './heatingTime'
import { findRoot } from '../numeric/findRoot'
import type { HeatingPiece } from '../run/heatingPieces'
import { fail, ok, type R } from '../result'

const LONGEST_STEP_S = 2
const MOST_DOUBLINGS = 40

/**
 * The time the same flame would have needed with the pot on and its lid as the set-up has it.
 * @param heating as the set-up has it
 * @param open what evaporates while there is no lid on it
 * @returns [s]; the problem of the heat balance where no flame explains the times. Source: newton.
 */
export function undisturbedTime(pieces: readonly HeatingPiece[], heating: Heating, open: Evaporation): R<number> {
  const heatedS = pieces.reduce((sum, { s, heated }) => (heated ? sum + s : sum), 0)
  const least = heatFlowFromTime(heatedS, { ...heating, evaporation: null })
  if (!least.ok) return least
  const beyond = (q0W: number) => endTemperature(q0W, pieces, heating, open) - heating.endC
  let [low, high] = [least.value.q0W / 2, least.value.q0W]
  for (let i = 0; beyond(high) < 0; i++) {
    if (i === MOST_DOUBLINGS) return fail(DISTURBED)
    high *= 1.5
  }
  for (let i = 0; beyond(low) > 0; i++) {
    if (i === MOST_DOUBLINGS) return fail(DISTURBED)
    low /= 1.5
  }
  const timeS = heatingTime(findRoot(beyond, low, high, 1e-10), heating)
  return Number.isFinite(timeS) ? ok(timeS) : fail(DISTURBED)
}

const DISTURBED = {
  code: 'heating-disturbed',
  what: 'No flame explains how it heated while the pot was off or its lid was',
  hint: 'Check the times of pot off, pot on, lid off and lid on.',
}

/** By Heun's method, piece by piece. */
function endTemperature(q0W: number, pieces: readonly HeatingPiece[], h: Heating, open: Evaporation): number {
  let tempC = h.startC
  for (const piece of pieces) {
    const steps = Math.max(1, Math.ceil(piece.s / LONGEST_STEP_S))
    const stepS = piece.s / steps
    const rate = (at: number) => warming(q0W, at, piece, { h, open })
    for (let i = 0; i < steps; i++) {
      const first = rate(tempC)
      const second = rate(tempC + first * stepS)
      tempC += ((first + second) / 2) * stepS
    }
  }
  return tempC
}

/** [K/s] */
function warming(
  q0W: number,
  tempC: number,
  piece: HeatingPiece,
  { h, open }: { h: Heating; open: Evaporation },
): number {
  const excess = tempC - h.airC
  const flameW = piece.heated ? q0W * (1 - excess / h.thetaK) : 0
  const vapourW = piece.open ? evaporationPower(open, tempC) : h.vapourW
  return (flameW - h.lossWPerK * excess - vapourW) / h.capacityJPerK
}
