/** Streams that paired devices hold open here: a device that is forgotten is told nothing more. */
export class OpenStreams {
  readonly #streams = new Map<string, Set<() => void>>()

  /** @returns to be called when the stream ends by itself */
  keep(deviceId: string, end: () => void): () => void {
    const mine = this.#streams.get(deviceId) ?? new Set()
    this.#streams.set(deviceId, mine.add(end))
    return () => {
      mine.delete(end)
      if (mine.size === 0) this.#streams.delete(deviceId)
    }
  }

  end(deviceId: string): void {
    for (const end of [...(this.#streams.get(deviceId) ?? [])]) end()
  }
}
