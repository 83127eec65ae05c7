/** The lanes of a bench as they change, for a program that looks on: told, not asked for again and again. */
import { setTimeout as sleep } from 'node:timers/promises'
import { createParser } from 'eventsource-parser'
import type { Bench, BenchPush, Lane } from '../shared/bench'

const AGAIN_MS = 300
/** A bench that lives says so more often. */
const SILENT_MS = 30_000

/** Calls `changed` with all lanes at each change; a bench that is away is sought again. @returns to leave off */
export function followBench(bench: string, changed: (lanes: readonly Lane[]) => void): () => void {
  let over = false
  let connection = new AbortController()
  let lanes: Lane[] = []
  const parser = () =>
    createParser({
      onEvent: ({ event, data }) => {
        if (event === 'bench') lanes = (JSON.parse(data) as Bench).lanes
        else if (event === 'change') lanes = merged(lanes, JSON.parse(data) as BenchPush)
        else return
        changed(lanes)
      },
    })

  async function listen() {
    connection = new AbortController()
    const mine = connection
    const silent = setTimeout(() => mine.abort(), SILENT_MS)
    try {
      const { body } = await fetch(`${bench}/api/bench/stream?only=lanes`, { signal: mine.signal })
      const { feed } = parser()
      for await (const piece of body!.pipeThrough(new TextDecoderStream())) {
        silent.refresh()
        feed(piece)
      }
    } finally {
      clearTimeout(silent)
    }
  }
  void (async () => {
    while (!over) {
      await listen().catch(() => undefined)
      await sleep(AGAIN_MS)
    }
  })()
  return () => {
    over = true
    connection.abort()
  }
}

function merged(lanes: readonly Lane[], { lanes: changed, gone }: BenchPush): Lane[] {
  const away = [...changed, ...gone].map((one) => one.runId)
  return [...lanes.filter((lane) => !away.includes(lane.runId)), ...changed]
}
