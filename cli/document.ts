/** One JSON document in, one out: what the commands have in common. */
import { readFileSync } from 'node:fs'

/** @returns what was read, or why it was not, a line each */
export function documentIn(file: string): { ok: true; value: unknown } | { ok: false; lines: string[] } {
  const text = readText(file)
  if (text === null) return { ok: false, lines: [`${file}: cannot be read. Check the name.`] }
  try {
    return { ok: true, value: JSON.parse(text) }
  } catch (error) {
    return { ok: false, lines: [`$: not JSON (${(error as Error).message})`] }
  }
}

function readText(file: string): string | null {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8').replace(/^\uFEFF/, '')
  } catch {
    return null
  }
}

interface Asked {
  file: string
  flags: string[]
}
/** The one file and the flags of a command line; null: it is explained, or complained of. */
export function askedOf(
  args: readonly string[],
  { help, known }: { help: string; known: readonly string[] },
): Asked | number {
  const flags = args.filter((arg) => arg.startsWith('--'))
  const [file, ...more] = args.filter((arg) => !arg.startsWith('--'))
  const unknown = flags.filter((flag) => flag !== '--help' && !known.includes(flag))
  if (flags.includes('--help')) return print(help)
  if (unknown.length === 0 && file !== undefined && more.length === 0) return { file, flags }
  const why = unknown.length > 0 ? `; ${unknown.join(' ')} is not known` : ''
  return complain([`Name one file, or - for standard input${why}. --help explains.`])
}

export function print(text: string): number {
  process.stdout.write(text)
  return 0
}

export function complain(lines: readonly string[]): number {
  process.stderr.write(`${lines.join('\n')}\n`)
  return 1
}
