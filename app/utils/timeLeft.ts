import { formatClock } from '#core/quantity/format'

/**
 * What is left of something that takes a while, in words.
 * @param elapsedS since it was seen at `before` @param before @param now how much of 1 was done then, and is done
 * @returns '' while too little was seen of it to say
 */
export function timeLeftWords({ elapsedS, before, now }: { elapsedS: number; before: number; now: number }): string {
  const done = now - before
  if (elapsedS < 1 || done <= 0.02 || now >= 1) return ''
  const leftS = (elapsedS * (1 - now)) / done
  if (leftS < 60) return `about ${Math.max(1, Math.round(leftS))} s left`
  return `about ${formatClock(Math.round(leftS / 10) * 10)} left`
}
