/** Work and files that once held up all others, one after the other. */
import { randomUUID } from 'node:crypto'
import { figuresStand, getJson, runsTable, stageTable, storeStaged } from './table.mjs'

const ROWS = 10_000
const SAMPLES = 400_000

/** @returns [what, work] each */
export const heavySteps = (url) => {
  const client = clientOf(url)
  return [...workSteps(url, client), ...fileSteps(client)]
}

const clientOf = (url) => ({
  read: async (path) => (await fetch(`${url}${path}`)).text(),
  send: async (name, text) =>
    (await fetch(`${url}/api/imports/${randomUUID()}?name=${name}`, { method: 'PUT', body: text })).text(),
  post: async (path, body) =>
    (await fetch(`${url}${path}`, { method: 'POST', body, headers: { 'content-type': 'application/json' } })).text(),
})

/** What a tester does with many runs. */
function workSteps(url, { read, post }) {
  let staged = null
  let runIds = []
  return [
    [
      `a table of ${ROWS} rows sent`,
      async () => {
        staged = await stageTable(url, runsTable(ROWS, 2021))
      },
    ],
    ['the same looked through', () => post(`/api/imports/${staged.id}/preview`, staged.body)],
    ['the same stored', () => storeStaged(url, staged)],
    [
      'its figures worked out',
      async () => {
        await figuresStand(url)
        runIds = (await getJson(`${url}/api/runs?import=${staged.id}`)).lines.map((line) => line.id)
      },
    ],
    ['the first page of one of its runs', () => read(`/runs/${runIds[0]}`)],
    ['the run with its series, as JSON', () => read(`/api/runs/${runIds[1]}/document`)],
    ['Monte Carlo, 200 000 draws', () => read(`/api/runs/${runIds[2]}/monte-carlo?draws=200000`)],
    ['all runs as CSV', () => post('/api/runs/export', JSON.stringify({ format: 'csv' }))],
    ['everything as a package', async () => (await fetch(`${url}/api/package`)).arrayBuffer()],
    [`a trace of ${SAMPLES} samples sent and looked through`, () => traceLookedThrough(url, post)],
  ]
}

const manyKeys = () => Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, i]))
const rowsOfOwnKeys = () => Array.from({ length: 10_000 }, (_, i) => ({ [`k${i}`]: 1 }))
/** Files and bodies that no tester has. */
const fileSteps = ({ send, post }) => [
  ['JSON of 100 000 keys', () => send('k.json', JSON.stringify([manyKeys()]))],
  ['JSON of 10 000 rows, each with its own key', () => send('k.json', JSON.stringify(rowsOfOwnKeys()))],
  ['CSV of 15 MB, rows of one letter', () => send('k.csv', 'a\n'.repeat(7_500_000))],
  ['CSV of 15 MB of quotation marks', () => send('k.csv', '"'.repeat(15_000_000))],
  ['CSV with a cell of 15 MB', () => send('k.csv', `a,b\n${'x'.repeat(15_000_000)},1\n`)],
  ['JSON nested 100 000 deep', () => post('/api/bench/acts', `${'['.repeat(100_000)}${']'.repeat(100_000)}`)],
  ['a run with notes of 900 kB', () => post('/api/runs', JSON.stringify({ notes: 'x'.repeat(900_000) }))],
]

async function traceLookedThrough(url, post) {
  const id = randomUUID()
  await fetch(`${url}/api/imports/${id}?name=trace.csv`, {
    method: 'PUT',
    body: ['seconds,water °C', ...Array.from({ length: SAMPLES }, (_, i) => `${i / 10},${15 + i / 5000}`)].join('\n'),
  })
  const { guessedTrace } = await getJson(`${url}/api/imports/${id}`)
  await post(`/api/imports/${id}/preview`, JSON.stringify({ what: 'trace', mapping: guessedTrace }))
}
