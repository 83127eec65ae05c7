/** `npm run --silent compare -- FILE.json`: a question of runs, answered from the command line. */
import { compareAsked } from '../core/compare/compareAsked'
import { readCompareRequest } from '../shared/compareRequest'
import { askedOf, complain, documentIn, print } from './document'

const HELP = `Reads one JSON document, a question with the runs that it is asked of, and prints its answer on standard output.

  npm run --silent compare -- FILE.json       a file
  npm run --silent compare -- -               standard input

  { "format": "vulcanum-compare", "version": 1, "reduce": {...},
    "question": { "kind": "two", "arms": [ {"name": "A", "runs": ["a1", "a2"]}, {"name": "B", "runs": ["b1"]} ] } }

"reduce" is a whole request of reduce. Kinds: two, ranking, flameLine, wind, cold, height, volume, factors, claim,
people; units: g, MJ, s, money ("prices": {"methanol": {"amount": 4.2, "forG": 790}}).
A document that is wrong: exit 1, and a line per problem on standard error with its JSON path.
`

function main(args: string[]): number {
  const asked = askedOf(args, { help: HELP, known: [] })
  if (typeof asked === 'number') return asked
  const document = documentIn(asked.file)
  if (!document.ok) return complain(document.lines)
  const read = readCompareRequest(document.value)
  if (!read.ok) return complain(read.problems.map((problem) => `${problem.path}: ${problem.text}`))
  return print(`${JSON.stringify(compareAsked(read.request), null, 1)}\n`)
}

process.exitCode = main(process.argv.slice(2))
