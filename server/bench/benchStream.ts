/** One page's stream of the bench: as it stands, then each change, until it goes or is forgotten. */
import type { EventStreamMessage } from 'h3'
import type { Bench, BenchPush, SamplesHad } from '../../shared/bench'
import type { Workspace } from '../workspace/workspace'
import { readBenchNow, readBenchSince } from './lanes'
import { lastSeq } from './repository/outbox'

const BEAT_MS = 10_000

/** What carries it: says nothing any more once it is over. */
export interface Wire {
  send: (message: EventStreamMessage) => void
  close: () => void
  /** Whether whoever hears may still. */
  isLetIn: () => Promise<boolean>
}

export class BenchStream {
  readonly #workspace: Workspace
  readonly #wire: Wire
  readonly #waiting: BenchPush[] = []
  readonly #leave: (() => unknown)[] = []
  #began = false
  #over = false

  constructor(workspace: Workspace, wire: Wire) {
    this.#workspace = workspace
    this.#wire = wire
    this.#leave.push(
      workspace.lanes.subscribe((change) => {
        if (this.#began) this.#push('change', change)
        else this.#waiting.push(change)
      }),
    )
    const beat = setInterval(() => void this.#beat().catch(() => undefined), BEAT_MS)
    this.#leave.push(() => clearInterval(beat))
  }

  /** @param seen how far the page had come; −1: it has nothing */
  async begin(seen: number): Promise<void> {
    const { db, clock } = this.#workspace
    const [last, serverMs] = [await lastSeq(db), await clock.now()]
    // A page that has seen more than there is had another database.
    if (seen >= 0 && seen <= last) this.#start('change', await readBenchSince(db, seen, serverMs))
    else this.#start('bench', await readBenchNow(db, serverMs))
  }

  /** What instruments send too, from where the page had it. */
  async withInstruments(had: SamplesHad): Promise<void> {
    const { samples, sentNow } = this.#workspace
    const tell = (pushes: string) => this.#send({ event: 'samples', data: pushes })
    this.#leave.push(sentNow.subscribe((now) => this.#send({ event: 'now', data: JSON.stringify(now) })))
    await samples.since(had, (pushes) => {
      tell(pushes)
      if (!this.#over) this.#leave.push(samples.subscribe(tell))
    })
  }

  end(): void {
    this.#over = true
    for (const leave of this.#leave.splice(0)) leave()
  }

  #start(name: 'bench' | 'change', bench: BenchPush | Bench): void {
    this.#push(name, bench)
    this.#began = true
    for (const change of this.#waiting) if (change.seq > bench.seq) this.#push('change', change)
  }

  async #beat(): Promise<void> {
    // It may have been forgotten at another process.
    if (!(await this.#wire.isLetIn())) return this.#wire.close()
    this.#send({ event: 'beat', data: JSON.stringify({ serverMs: await this.#workspace.clock.now() }) })
  }

  #push(name: string, value: { seq: number }): void {
    this.#send({ event: name, id: String(value.seq), data: JSON.stringify(value), retry: 500 })
  }

  #send(message: EventStreamMessage): void {
    if (!this.#over) this.#wire.send(message)
  }
}
