/** The command line of a simulator: what cannot be is refused in words, before anything is sent. */
import { parseArgs } from 'node:util'

/** What it is unless said, the least and the most. */
export type NumberRule = readonly [usual: number | null, low: number, high: number]

interface Rules<N extends string, T extends string> {
  help: string
  numbers: Record<N, NumberRule>
  texts: Record<T, string | null>
  needed: readonly NoInfer<T>[]
}

/**
 * Ends the program: with its help where that was asked for, with code 1 and words where something is missing or wrong.
 */
export function readOptions<N extends string, T extends string>({
  help,
  numbers,
  texts,
  needed,
}: Rules<N, T>): { numbers: Record<N, number | null>; texts: Record<T, string | null> } {
  const names = [...Object.keys(numbers), ...Object.keys(texts)]
  const typed = typedOptions(names)
  if (typed.help) {
    process.stdout.write(help)
    process.exit(0)
  }
  const missing = needed.filter((name) => !typed[name])
  if (missing.length > 0) refuse(`${missing.map((name) => `--${name}`).join(' and ')}: missing.\n\n${help}`)
  return {
    numbers: Object.fromEntries(
      Object.entries<NumberRule>(numbers).map(([name, rule]) => [name, numberOf(name, typed[name], rule)]),
    ) as Record<N, number | null>,
    texts: Object.fromEntries(
      Object.entries<string | null>(texts).map(([name, usual]) => [name, typed[name] ?? usual]),
    ) as Record<T, string | null>,
  }
}

function typedOptions(names: readonly string[]): Record<string, string | undefined> {
  try {
    // Frost and a downward drift begin with a minus, which would be taken for an option.
    const args = process.argv
      .slice(2)
      .reduce<string[]>(
        (before, arg) =>
          /^-[\d.]/.test(arg) && before.length > 0
            ? [...before.slice(0, -1), `${before.at(-1)}=${arg}`]
            : [...before, arg],
        [],
      )
    const { values } = parseArgs({
      args,
      options: {
        help: { type: 'boolean' },
        ...Object.fromEntries(names.map((name) => [name, { type: 'string' as const }])),
      },
    })
    return values as Record<string, string | undefined>
  } catch (error) {
    return refuse(`${(error as Error).message} --help lists what is known.`)
  }
}

function numberOf(name: string, text: string | undefined, [usual, low, high]: NumberRule): number | null {
  if (text === undefined) return usual
  const value = text.trim() === '' ? NaN : Number(text)
  return value >= low && value <= high
    ? value
    : refuse(`--${name}: read "${text}", expected a number from ${low} to ${high}.`)
}

/** From the environment: a command line may be read by every user of the machine. */
export function requireToken(help: string): string {
  const token = process.env.VULCANUM_TOKEN ?? ''
  return token === '' ? refuse(`VULCANUM_TOKEN: missing.\n\n${help}`) : token
}

export function refuse(words: string): never {
  process.stderr.write(`${words}\n`)
  process.exit(1)
}
