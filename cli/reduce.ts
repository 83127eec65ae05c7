/** `npm run --silent reduce -- FILE.json`: the core from the command line. */
import { readFileSync } from 'node:fs'
import { reduce } from '../core/reduce'
import { answerCsv } from '../shared/answerCsv'
import { readReduceRequest } from '../shared/reduceRequest'

const HELP = `Reads one JSON document of runs and prints one JSON document of results on standard output.

  npm run --silent reduce -- FILE.json        a file
  npm run --silent reduce -- -                standard input
  … --csv                                     the results as CSV, one row a run
  … --workings                                with the working of each number

A document that is wrong: exit 1, and a line per problem on standard error with its JSON path.
One wrong run does not stop the others: it comes back with "error", exit 0.
`

function main(args: string[]): number {
  const flags = args.filter((arg) => arg.startsWith('--'))
  const files = args.filter((arg) => !arg.startsWith('--'))
  const unknown = flags.filter((flag) => !['--help', '--csv', '--workings'].includes(flag))
  if (flags.includes('--help')) return print(HELP)
  if (unknown.length > 0 || files.length !== 1)
    return complain([
      `Name one file, or - for standard input${unknown.length > 0 ? `; ${unknown.join(' ')} is not known` : ''}. --help explains.`,
    ])
  const text = readText(files[0]!)
  if (text === null) return complain([`${files[0]}: cannot be read. Check the name.`])
  const document = parse(text)
  if (!document.ok) return complain([`$: not JSON (${document.why})`])
  const read = readReduceRequest(document.value)
  if (!read.ok) return complain(read.problems.map((problem) => `${problem.path}: ${problem.text}`))
  const answer = reduce(read.request, { workings: flags.includes('--workings') })
  return print(flags.includes('--csv') ? `${answerCsv(answer)}\n` : `${JSON.stringify(answer, null, 1)}\n`)
}

function readText(file: string): string | null {
  try {
    return readFileSync(file === '-' ? 0 : file, 'utf8').replace(/^\uFEFF/, '')
  } catch {
    return null
  }
}

function parse(text: string): { ok: true; value: unknown } | { ok: false; why: string } {
  try {
    return { ok: true, value: JSON.parse(text) }
  } catch (error) {
    return { ok: false, why: (error as Error).message }
  }
}

function print(text: string): number {
  process.stdout.write(text)
  return 0
}

function complain(lines: string[]): number {
  process.stderr.write(`${lines.join('\n')}\n`)
  return 1
}

process.exitCode = main(process.argv.slice(2))
