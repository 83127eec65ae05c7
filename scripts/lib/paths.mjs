/** Where things are. */
import { existsSync, mkdirSync, chmodSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
export const at = (...parts) => join(root, ...parts)
export const dataFolder = at('.data')
export const builtServer = at('.output', 'server', 'index.mjs')

/** `.data/`: others may pass through it to the cluster's own folder, and read nothing. */
export function makeDataFolder() {
  if (!existsSync(dataFolder)) mkdirSync(dataFolder, { recursive: true })
  chmodSync(dataFolder, 0o711)
}
