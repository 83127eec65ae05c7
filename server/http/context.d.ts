import type { Caller } from './caller'

declare module 'h3' {
  interface H3EventContext {
    /** Set by the gate. */ caller: Caller
  }
}
