/** Sends what waits until nothing does: one sending at a time, and after a failure again, at growing pauses. */
export interface SendQueueParts {
  /** Sends all that waits; throws where it cannot. */
  work: () => Promise<void>
  /** Has it done by one tab of the browser at a time. */
  alone: (work: () => Promise<void>) => Promise<void>
  /** How a sending ended; undefined: well. */
  ended: (error?: unknown) => void
}

export const PAUSES_MS = [250, 500, 1000, 2000, 3000] as const

export class SendQueue {
  #parts: SendQueueParts
  #isWanted = false
  #isSending = false
  #failures = 0
  #timer: ReturnType<typeof setTimeout> | undefined

  constructor(parts: SendQueueParts) {
    this.#parts = parts
  }

  /** Sends what waits, now; once more if something came meanwhile. */
  send = (): void => {
    this.#isWanted = true
    clearTimeout(this.#timer)
    if (this.#isSending) return
    this.#isSending = true
    void this.#parts
      .alone(() => this.#sendAll())
      .catch(() => undefined)
      .finally(() => this.#sent())
  }

  async #sendAll(): Promise<void> {
    while (this.#isWanted) {
      this.#isWanted = false
      try {
        await this.#parts.work()
        this.#failures = 0
        this.#parts.ended()
      } catch (error) {
        this.#failures++
        this.#isWanted = true
        return this.#parts.ended(error)
      }
    }
  }

  #sent(): void {
    this.#isSending = false
    if (!this.#isWanted) return
    const pauseMs = this.#failures === 0 ? 0 : PAUSES_MS[Math.min(this.#failures, PAUSES_MS.length) - 1]
    this.#timer = setTimeout(this.send, pauseMs)
  }
}
