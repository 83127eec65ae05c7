// `npm run bench`: speed of the core with its answers asserted. --help says more.
import { execFile, spawn } from 'node:child_process'
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { promisify } from 'node:util'
import { build } from 'vite'
import { dataFolder, root } from './lib/paths.mjs'

const HELP = `Times the core and asserts its answers:
  throughput of the full ladder with uncertainty, Monte Carlo, trace fit, boil finder (built as the server runs them),
  \`reduce\` from the command line on 1 000 runs with traces of 600 samples (wall time and memory),
  and how the cost grows when the work grows tenfold three times.
Exit 1 where a figure misses its limit or an answer is wrong. Best of several repeats; run it on a quiet machine.
`
if (process.argv.includes('--help')) {
  process.stdout.write(HELP)
  process.exit(0)
}

const folder = join(dataFolder, 'bench')
mkdirSync(folder, { recursive: true })
await build({
  configFile: false,
  root,
  logLevel: 'error',
  resolve: { conditions: ['node'] },
  build: {
    ssr: join(root, 'scripts/bench/measure.ts'),
    outDir: folder,
    emptyOutDir: true,
    minify: false,
    target: 'node20',
  },
  ssr: { noExternal: true },
})
let failed = false
try {
  const { stdout } = await promisify(execFile)(process.execPath, [join(folder, 'measure.js')], {
    cwd: root,
    maxBuffer: 1e7,
  })
  process.stdout.write(stdout)
} catch (error) {
  process.stdout.write(error.stdout ?? '')
  process.stderr.write(error.stderr ?? String(error))
  failed = true
}
failed = !(await commandLine()) || failed
rmSync(folder, { recursive: true, force: true })
process.exit(failed ? 1 : 0)

/** `reduce` on 1 000 runs with traces of 600 samples: wall time and the most memory it held. */
async function commandLine() {
  const contract = JSON.parse(readFileSync(join(root, 'test/reference/contract-run.json'), 'utf8'))
  const [run] = contract.runs
  const trace = Array.from({ length: 600 }, (_, i) => [
    i,
    Math.min(96.84, Math.round((9.2 + 0.385 * i + 0.1 * Math.sin(i * 7)) * 10) / 10),
  ])
  const runs = Array.from({ length: 1000 }, (_, i) => ({ ...run, id: `r${i}`, setup: `s${i % 50}`, trace }))
  const file = join(folder, 'thousand.json')
  writeFileSync(file, JSON.stringify({ ...contract, runs }))
  const from = performance.now()
  const child = spawn(process.execPath, ['--max-semi-space-size=32', 'scripts/reduce.mjs', file], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let peakKb = 0
  const watch = setInterval(() => {
    peakKb = Math.max(peakKb, heldKb(child.pid))
  }, 20)
  const chunks = []
  for await (const chunk of child.stdout) chunks.push(chunk)
  clearInterval(watch)
  const seconds = (performance.now() - from) / 1000
  const answer = JSON.parse(Buffer.concat(chunks).toString())
  const right =
    answer.runs.length === 1000 &&
    answer.runs.every(
      (one) => Math.abs(one.normalisedGPerL - 24.394) < 0.001 && Math.abs(one.boilFound.atS - 226.3) < 2,
    )
  const holds = right && seconds < 3 && peakKb < 300_000
  const what = 'reduce from the command line, 1 000 runs, 600 samples each'.padEnd(58)
  const seen = `${seconds.toFixed(2)} s, ${Math.round(peakKb / 1000)} MB`.padStart(16)
  process.stdout.write(`${holds ? 'ok  ' : 'MISS'} ${what} ${seen}   under 3 s and 300 MB\n`)
  if (!right) process.stderr.write('The command line’s answers are not right\n')
  return holds
}

function heldKb(pid) {
  try {
    return Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0)
  } catch {
    return 0
  }
}
