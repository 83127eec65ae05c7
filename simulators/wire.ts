/**
 * How a simulated instrument speaks: the open line protocol over TCP, in numbered batches, each sent again until it is
 * acknowledged.
 */
import { connect, type Socket } from 'node:net'

export interface Wire {
  send: (lines: readonly string[]) => void
  /** Now by the bench's clock [ms]. */
  nowMs: () => number
  /** When all was acknowledged, or nothing was heard for so long [ms]. */
  settled: (silentMs?: number) => Promise<void>
  close: () => void
}

const AGAIN_MS = 500
const LOOKS_MS = 50

interface To {
  port: number
  token: string
  name: string
  /** What the other side answered, for whoever looks. */
  say: (line: string) => void
}
interface Batch {
  id: string
  lines: readonly string[]
}
interface Answer {
  nowMs?: number
  batch?: string
  error?: string
  again?: boolean
  refused?: number
  problems?: { text: string }[]
}

export function openWire(to: To): Wire {
  const line = new Line(to)
  line.open()
  return {
    send: (lines) => line.send(lines),
    nowMs: () => line.nowMs(),
    settled: (silentMs) => line.settled(silentMs),
    close: () => line.close(),
  }
}

class Line {
  readonly #to: To
  /** A batch's id is its instrument's beginning and its number: a program that was started again has other ids. */
  readonly #begun: string
  readonly #waiting: Batch[] = []
  #socket: Socket | null = null
  /** What was written before the token would come before it. */
  #greeted = false
  #n = 0
  #over = false
  #aheadMs = 0
  #heardAtMs = 0

  constructor(to: To) {
    this.#to = to
    this.#begun = `${to.name} ${Date.now()}`
  }

  open(): void {
    if (this.#over) return
    let rest = ''
    const mine = (this.#socket = connect(this.#to.port, '127.0.0.1'))
    mine.setEncoding('utf8')
    mine.on('connect', () => {
      mine.write(`${JSON.stringify({ token: this.#to.token })}\n`)
      this.#greeted = true
      for (const batch of this.#waiting) this.#put(batch)
    })
    mine.on('data', (piece: string) => {
      const lines = (rest + piece).split('\n')
      rest = lines.pop()!
      for (const line of lines) this.#hear(JSON.parse(line) as Answer)
    })
    mine.on('error', () => undefined)
    mine.on('close', () => {
      this.#greeted = false
      this.#socket = null
      setTimeout(() => this.open(), AGAIN_MS)
    })
  }

  send(lines: readonly string[]): void {
    const batch = { id: `${this.#begun} ${++this.#n}`, lines }
    this.#waiting.push(batch)
    this.#put(batch)
  }

  nowMs(): number {
    return Math.round(Date.now() + this.#aheadMs)
  }

  async settled(silentMs = Infinity): Promise<void> {
    this.#heardAtMs = Date.now()
    while (this.#waiting.length > 0 && Date.now() - this.#heardAtMs < silentMs)
      await new Promise((done) => setTimeout(done, LOOKS_MS))
  }

  close(): void {
    this.#over = true
    this.#socket?.destroy()
  }

  #put({ id, lines }: Batch): void {
    if (this.#greeted) this.#socket?.write(`${lines.join('\n')}\n${JSON.stringify({ batch: id })}\n`)
  }

  #hear({ nowMs, batch: id, error, again, refused, problems }: Answer): void {
    this.#heardAtMs = Date.now()
    if (nowMs !== undefined) this.#aheadMs = nowMs - Date.now()
    if (error) this.#to.say(error)
    if (refused) this.#to.say(`${refused} refused: ${problems?.[0]?.text ?? ''}`)
    const batch = this.#waiting.find((one) => one.id === id)
    if (batch === undefined) return
    if (!again) this.#waiting.splice(this.#waiting.indexOf(batch), 1)
    else
      setTimeout(() => {
        if (this.#waiting.includes(batch)) this.#put(batch)
      }, AGAIN_MS)
  }
}
