/**
 * Debian's Chromium without a window (its headless shell: a page in half the time of the whole browser): found, or
 * installed where that is allowed.
 */
import { existsSync } from 'node:fs'
import { installPackages } from './apt.mjs'

export const CHROMIUM = process.env.CHROMIUM ?? '/usr/bin/chromium-headless-shell'
/** Without these a headless Chromium looks for hosts of its own at every start. */
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export async function requireChromium() {
  if (!existsSync(CHROMIUM)) await installPackages('Chromium', ['chromium-headless-shell'])
}
