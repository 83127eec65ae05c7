/**
 * How a simulated instrument speaks: the open line protocol over TCP, in numbered batches, each sent again until it is
 * acknowledged.
 */
import { connect, type Socket } from 'node:net'

export interface Wire {
  send: (lines: readonly string[]) => void
  /** Now by the bench's clock [ms]. */ nowMs: () => number
  /** When all was acknowledged. */ settled: () => Promise<void>
  close: () => void
}

const AGAIN_MS = 500

/** @param say what the other side answered, for whoever looks */
export function openWire({
  port,
  token,
  name,
  say,
}: {
  port: number
  token: string
  name: string
  say: (line: string) => void
}): Wire {
  const waiting: { id: string; lines: readonly string[] }[] = []
  let socket: Socket | null = null
  // What was written before the token would come before it.
  let greeted = false
  let n = 0
  let over = false
  let aheadMs = 0
  // A batch's id is its instrument's beginning and its number: a program that was started again has other ids.
  const begun = `${name} ${Date.now()}`
  const put = (batch: { id: string; lines: readonly string[] }) =>
    greeted && socket?.write(`${batch.lines.join('\n')}\n${JSON.stringify({ batch: batch.id })}\n`)

  function open() {
    if (over) return
    let rest = ''
    const mine = (socket = connect(port, '127.0.0.1'))
    mine.setEncoding('utf8')
    mine.on('connect', () => {
      mine.write(`${JSON.stringify({ token })}\n`)
      greeted = true
      for (const batch of waiting) put(batch)
    })
    mine.on('data', (piece: string) => {
      const lines = (rest + piece).split('\n')
      rest = lines.pop()!
      for (const line of lines) hear(line)
    })
    mine.on('error', () => undefined)
    mine.on('close', () => {
      greeted = false
      socket = null
      setTimeout(open, AGAIN_MS)
    })
  }
  function hear(line: string) {
    const answer = JSON.parse(line) as {
      hello?: string
      nowMs?: number
      batch?: string
      error?: string
      again?: boolean
      refused?: number
      problems?: { text: string }[]
    }
    if (answer.nowMs !== undefined) aheadMs = answer.nowMs - Date.now()
    if (answer.error) say(answer.error)
    if (answer.refused) say(`${answer.refused} refused: ${answer.problems?.[0]?.text ?? ''}`)
    const batch = waiting.find((one) => one.id === answer.batch)
    if (batch === undefined) return
    if (answer.again)
      setTimeout(() => {
        if (waiting.includes(batch)) put(batch)
      }, AGAIN_MS)
    else waiting.splice(waiting.indexOf(batch), 1)
  }
  open()
  return {
    send(lines) {
      const batch = { id: `${begun} ${++n}`, lines }
      waiting.push(batch)
      put(batch)
    },
    async settled() {
      while (waiting.length > 0) await new Promise((done) => setTimeout(done, 50))
    },
    nowMs: () => Math.round(Date.now() + aheadMs),
    close() {
      over = true
      socket?.destroy()
    },
  }
}
