/**
 * `npm run intake`: how many samples a second instruments can send, how soon each batch is acknowledged, against a bare
 * COPY of the same rows; and how soon two hundred streams and three pages see a reading.
 */
import { requireChromium } from './lib/browser.mjs'
import { ownBench } from './lib/ownBench.mjs'
import { runMain, say, Stop } from './lib/say.mjs'
import { anew, count, fastest, feedsOf, load } from './intake/load.mjs'
import { streams } from './intake/streams.mjs'

const HELP = `npm run intake                    five minutes of 20 000 samples a second, then as fast as it goes by lines and by blocks, then the streams
npm run intake -- --minutes 1     shorter; --streams, --fastest: those alone
`
const LIMITS = { samplesPerS: 20_000, ackMs: 250, ofCopy: 0.5, seenMs: 300 }

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help')) return say(HELP)
  const minutes = args.includes('--minutes') ? Number(args[args.indexOf('--minutes') + 1]) : 5
  if (!(minutes > 0)) throw new Stop(HELP)
  await requireChromium()
  const bench = await ownBench('intake')
  try {
    await anew(bench.server.url)
    if (args.includes('--streams')) return tell(await streams(bench))
    const feeds = await feedsOf(bench.server.url)
    if (args.includes('--fastest')) return tell({ ...(await bothForms(bench, feeds)), ...memoryOf(bench) })
    await all(bench, feeds, minutes)
  } finally {
    await bench.stop()
  }
}

const tell = (figures) => say(JSON.stringify(figures, null, 1))
const memoryOf = (bench) => ({ serverMB: Math.round(bench.peakMB()) })
const bothForms = async (bench, feeds) => ({
  lines: await fastest(bench, feeds, 'lines'),
  blocks: await fastest(bench, feeds, 'blocks'),
})

async function all(bench, feeds, minutes) {
  const steady = await load(bench, { feeds, seconds: minutes * 60, samplesPerS: LIMITS.samplesPerS, form: 'lines' })
  const stored = await count(bench.databaseUrl)
  const { lines, blocks } = await bothForms(bench, feeds)
  const seen = await streams(bench)
  const broken = [
    ...steadyFaults({ ...steady, stored }),
    ...[lines, blocks].flatMap((one) => storedFaults(one)),
    ...speedFaults(blocks, seen),
  ]
  tell({ minutes, steady, lines, blocks, seen, ...memoryOf(bench), broken })
  if (broken.length > 0) throw new Stop(`Not held: ${broken.join('; ')}`)
  say('Everything held.')
}

const storedFaults = ({ samples, stored }) => (stored === samples ? [] : [`${samples} acknowledged, ${stored} stored`])

const steadyFaults = (steady) => [
  ...(steady.perS < LIMITS.samplesPerS * 0.99 ? [`${steady.perS} samples a second`] : []),
  ...storedFaults(steady),
  ...(steady.ackP95Ms > LIMITS.ackMs ? [`acknowledged within ${steady.ackP95Ms} ms (p95)`] : []),
]

const speedFaults = (blocks, seen) => [
  ...(blocks.ofCopy < LIMITS.ofCopy
    ? [`${blocks.perS} samples a second at most, a bare COPY ${blocks.copy.commitPerS}`]
    : []),
  ...(seen.streamsP95Ms > LIMITS.seenMs || seen.pagesP95Ms > LIMITS.seenMs
    ? [`seen within ${seen.streamsP95Ms} ms by streams, ${seen.pagesP95Ms} ms by pages (p95)`]
    : []),
]

runMain(main)
