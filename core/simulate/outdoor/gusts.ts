/** A wind that comes and goes about its mean. */
import type { Random } from '../random'

export interface Gusts {
  /** Standard deviation over the mean. */
  intensity: number
  /** How long one lasts: correlation time [s]. */
  overS: number
}

/** The wind, step by step [m/s]: an Ornstein–Uhlenbeck process about its mean, never below nought. */
export function gustyWind(meanMS: number, gusts: Gusts | null, random: Random | null, stepS: number): () => number {
  if (meanMS === 0 || gusts === null || random === null) return () => meanMS
  const kept = Math.exp(-stepS / gusts.overS)
  const fresh = Math.sqrt(1 - kept * kept)
  let now = random.normal()
  return () => {
    now = kept * now + fresh * random.normal()
    return Math.max(0, meanMS * (1 + gusts.intensity * now))
  }
}
