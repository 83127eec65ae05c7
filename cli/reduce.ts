/** `npm run --silent reduce -- FILE.json`: the core from the command line. */
import { reduce } from '../core/reduce'
import { answerCsv } from '../shared/answerCsv'
import { readReduceRequest } from '../shared/reduceRequest'
import { askedOf, complain, documentIn, print } from './document'

const HELP = `Reads one JSON document of runs and prints one JSON document of results on standard output.

  npm run --silent reduce -- FILE.json        a file
  npm run --silent reduce -- -                standard input
  … --csv                                     the results as CSV, one row a run
  … --workings                                with the working of each number

A document that is wrong: exit 1, and a line per problem on standard error with its JSON path.
One wrong run does not stop the others: it comes back with "error", exit 0.
`

function main(args: string[]): number {
  const asked = askedOf(args, { help: HELP, known: ['--csv', '--workings'] })
  if (typeof asked === 'number') return asked
  const document = documentIn(asked.file)
  if (!document.ok) return complain(document.lines)
  const read = readReduceRequest(document.value)
  if (!read.ok) return complain(read.problems.map((problem) => `${problem.path}: ${problem.text}`))
  const answer = reduce(read.request, { workings: asked.flags.includes('--workings') })
  return print(asked.flags.includes('--csv') ? `${answerCsv(answer)}\n` : `${JSON.stringify(answer, null, 1)}\n`)
}

process.exitCode = main(process.argv.slice(2))
