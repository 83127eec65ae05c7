/**
 * Between the page and the server: acts are sent in order by one tab at a time, changes come by one stream for all tabs
 * of a browser.
 */
import type { SamplesPush } from '#shared/bench'
import { NotTaken, sendActs, type ActsSent } from './sendActs'
import { sendPhotos } from './sendPhotos'
import { SendQueue } from './sendQueue'
import { listen, type StreamEvents } from './stream'
import { alone, hearTabs, tellTabs, type Told } from './tabs'

export interface LinkEvents extends ActsSent, Omit<StreamEvents, 'heard'> {
  /** All samples of what burns, for a tab that has none. */
  have: () => SamplesPush[]
  /** `why` it is not, where the server said it. */
  online: (is: boolean, why?: string) => void
  /** Another tab pressed or sent something. */
  elsewhere: (what: 'pressed' | 'settled') => void
}

export class BenchLink {
  #events: LinkEvents
  #queue: SendQueue
  /** Otherwise the stream is another tab's. */
  #isListening = false

  constructor(events: LinkEvents) {
    this.#events = events
    this.#queue = new SendQueue({
      alone: (work) => alone('vulcanum-bench-send', work),
      work: async () => {
        await sendActs(events)
        await sendPhotos()
      },
      ended: (error) => this.#sent(error),
    })
  }

  send = (): void => this.#queue.send()

  start(): void {
    hearTabs((told) => this.#hear(told))
    window.addEventListener('online', this.send)
    tellTabs({ type: 'wanted' })
    void alone('vulcanum-bench-stream', () => this.#listen())
    this.send()
  }

  #sent(error: unknown): void {
    if (error === undefined) return this.#events.online(true)
    const why = error instanceof NotTaken ? error.message : undefined
    this.#events.online(false, why)
    tellTabs({ type: 'online', is: false, why })
  }

  /** The stream is one tab's; it tells the others. It ends with the page, and the next tab takes it up. */
  #listen(): Promise<never> {
    const { received, sampled, sentNow, online, seen, had } = this.#events
    this.#isListening = true
    listen({
      seen,
      had,
      received: (push, whole) => {
        received(push, whole)
        tellTabs({ type: 'push', push, whole })
      },
      sampled: (pushes) => {
        sampled(pushes)
        tellTabs({ type: 'samples', pushes })
      },
      sentNow: (now) => {
        sentNow(now)
        tellTabs({ type: 'now', now })
      },
      heard: (is) => {
        online(is)
        tellTabs({ type: 'online', is })
        if (is) this.send()
      },
    })
    return new Promise<never>(() => undefined)
  }

  #hear(told: Told): void {
    if (told.type === 'push') this.#events.received(told.push, told.whole)
    else if (told.type === 'online') this.#events.online(told.is, told.why)
    else if (told.type === 'samples') this.#events.sampled(told.pushes)
    else if (told.type === 'now') this.#events.sentNow(told.now)
    else if (told.type === 'wanted') this.#tellWhatIsHere()
    else this.#events.elsewhere(told.type)
    if (told.type === 'pressed') this.send()
  }

  /** The tab with the stream tells one that was opened later. */
  #tellWhatIsHere(): void {
    if (this.#isListening) tellTabs({ type: 'samples', pushes: this.#events.have() })
  }
}
