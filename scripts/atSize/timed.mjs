/** Times, and what 95 of 100 of them stay within. */
export const p95 = (times) => [...times].sort((a, b) => a - b)[Math.ceil(0.95 * times.length) - 1]

/** How long it takes [ms]. */
export async function timedMs(work) {
  const began = performance.now()
  await work()
  return performance.now() - began
}
