import type { Caller } from './caller'
import type { Workspace } from '../workspace/workspace'

declare module 'h3' {
  interface H3EventContext {
    /** Set by the gate. */ caller: Caller
    /** Set by the first who asks for it. */ workspace?: Workspace
  }
}
