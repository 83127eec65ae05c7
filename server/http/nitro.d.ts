/** Of Nitro's own entry, which ours stands in for; it ships no types for them. */
declare module '#nitro-internal-pollyfills'
declare module 'nitropack/runtime/internal' {
  import type { Server } from 'node:http'
  import type { NitroApp } from 'nitropack/types'

  export function setupGracefulShutdown(listener: Server, app: NitroApp): void
  export function trapUnhandledNodeErrors(): void
}
