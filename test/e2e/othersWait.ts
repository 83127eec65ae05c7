/** How long others wait for an answer while something heavy goes on. */

/** @param work goes on meanwhile; @returns each wait [ms], shortest first */
export async function othersWait(baseURL: string, work: () => Promise<void>): Promise<number[]> {
  const waits: number[] = []
  let over = false
  const asking = (async () => {
    while (!over) {
      const begun = performance.now()
      await fetch(`${baseURL}/api/bench/time`)
      waits.push(performance.now() - begun)
    }
  })()
  await work().finally(() => {
    over = true
  })
  await asking
  return waits.sort((a, b) => a - b)
}
