/** The one listener that a process has on a database's NOTIFY. */
import pg from 'pg'

/** Told what was notified; null: the database came (back), and what was said meanwhile is to be read. */
type Subscriber = (payload: string | null) => void

const AGAIN_MS = 500

export class Notices {
  readonly #url: string
  readonly #subscribers = new Map<string, Set<Subscriber>>()
  #client: pg.Client | null = null
  #connected = false
  #over = false

  constructor(url: string) {
    this.#url = url
  }

  /** @returns what ends it */
  subscribe(channel: string, subscriber: Subscriber): () => void {
    const known = this.#subscribers.get(channel)
    if (known !== undefined) known.add(subscriber)
    else this.#subscribers.set(channel, new Set([subscriber]))
    if (this.#client === null) this.#connect()
    else if (this.#connected) void this.#listen([channel]).then(() => subscriber(null), this.#lost)
    return () => this.#subscribers.get(channel)?.delete(subscriber)
  }

  async close(): Promise<void> {
    this.#over = true
    await this.#client?.end().catch(() => undefined)
  }

  #connect = (): void => {
    if (this.#over) return
    const client = new pg.Client({ connectionString: this.#url })
    this.#client = client
    const lost = () => {
      if (this.#client === client) this.#lost()
    }
    client.on('error', lost)
    client.on('end', lost)
    client.on('notification', ({ channel, payload }) => this.#tell(channel, payload ?? ''))
    client.connect().then(() => this.#begin(), lost)
  }

  async #begin(): Promise<void> {
    this.#connected = true
    const channels = [...this.#subscribers.keys()]
    try {
      await this.#listen(channels)
    } catch {
      return this.#lost()
    }
    for (const channel of channels) this.#tell(channel, null)
  }

  async #listen(channels: readonly string[]): Promise<void> {
    await this.#client?.query(channels.map((channel) => `listen ${pg.escapeIdentifier(channel)}`).join('; '))
  }

  #lost = (): void => {
    const client = this.#client
    if (client === null) return
    this.#client = null
    this.#connected = false
    void client.end().catch(() => undefined)
    setTimeout(this.#connect, AGAIN_MS).unref()
  }

  #tell(channel: string, payload: string | null): void {
    for (const subscriber of this.#subscribers.get(channel) ?? []) subscriber(payload)
  }
}
