/**
 * `npm run compare-answers -- OLD`: every figure of the demonstration as two commits work it out, held against each
 * other.
 */
import { execFileSync } from 'node:child_process'
import { chmodSync, mkdtempSync, rmSync, symlinkSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import pg from 'pg'
import { startCluster } from './lib/cluster.mjs'
import { ensureDatabase } from './lib/databases.mjs'
import { at, root } from './lib/paths.mjs'
import { requirePrograms } from './lib/postgresPrograms.mjs'
import { run } from './lib/processes.mjs'
import { runMain, say, step, Stop } from './lib/say.mjs'
import { unprivilegedUser } from './lib/unprivileged.mjs'

const HELP = `npm run compare-answers -- OLD         a commit against what is checked in here
npm run compare-answers -- OLD NEW     two commits
Numbers are alike to 1e-9 of their size. What differs belongs under Values in CHANGELOG.md.
`
const ALIKE = 1e-9

async function main() {
  const args = process.argv.slice(2)
  if (args.includes('--help') || args.length === 0) return say(HELP)
  const [before, after = 'HEAD'] = args
  const folder = mkdtempSync(join(tmpdir(), 'vulcanum-compare-'))
  chmodSync(folder, 0o711)
  const cluster = await startCluster({
    programs: await requirePrograms(),
    folder: join(folder, 'cluster'),
    stateFolder: folder,
    user: unprivilegedUser(),
  })
  try {
    const was = await answersOf(before, 'before', { folder, cluster })
    const is = await answersOf(after, 'after', { folder, cluster })
    report(was, is)
  } finally {
    await cluster.stop()
    rmSync(folder, { recursive: true, force: true })
  }
}

/** The commit's own demonstration, as its own list of runs has it: lines by run. */
async function answersOf(commit, name, { folder, cluster }) {
  const tree = join(folder, name)
  git('worktree', 'add', '--detach', '--quiet', tree, commit)
  try {
    symlinkSync(at('node_modules'), join(tree, 'node_modules'))
    await ensureDatabase(cluster.url('postgres'), name)
    const env = { ...process.env, DATABASE_URL: cluster.url(name) }
    const program = ['--import', 'tsx', 'cli/prepareDatabase.ts']
    await step(`The demonstration at ${commit}`, () => run(process.execPath, program, { cwd: tree, env }))
    return await linesOf(cluster.url(name))
  } finally {
    git('worktree', 'remove', '--force', tree)
  }
}

/** Ids are made anew with each demonstration; a run is known by what it is. */
async function linesOf(url) {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    const { rows } = await client.query(`select * from ${await tableOf(client)}`)
    const lines = new Map()
    for (const { line, ribbon } of rows) {
      // The ribbon stood in the line once.
      const said = { ribbon, ...line, id: undefined }
      const key = [said.startedAt, said.setup, said.fuel, said.origin, said.kind, said.place, said.person].join(' · ')
      lines.set(`${key} · ${[...lines.keys()].filter((one) => one.startsWith(key)).length + 1}`, said)
    }
    return lines
  } finally {
    await client.end()
  }
}

/** As it was, and as it is called since. */
async function tableOf(client) {
  const { rows } = await client.query(
    `select table_name as name from information_schema.tables where table_name in ('run_row', 'run_summary')`,
  )
  if (rows.length === 0) throw new Stop('This commit keeps no list of runs.')
  return rows[0].name
}

function report(was, is) {
  const differences = [...new Set([...was.keys(), ...is.keys()])].flatMap((run) =>
    differing(was.get(run), is.get(run), '').map((text) => `${run}${text}`),
  )
  say(`${was.size} runs before, ${is.size} after; ${differences.length} differences.`)
  for (const one of differences) say(`  ${one}`)
  if (differences.length > 0) throw new Stop('Not the same. List under Values what is meant.')
}

/** Where two answers differ, as ".path: this → that". */
function differing(a, b, path) {
  if (typeof a === 'number' && typeof b === 'number')
    return Math.abs(a - b) <= ALIKE * Math.max(Math.abs(a), Math.abs(b), 1e-12) ? [] : [`${path}: ${a} → ${b}`]
  if (typeof a === 'object' && typeof b === 'object' && a !== null && b !== null)
    return [...new Set([...Object.keys(a), ...Object.keys(b)])].flatMap((key) =>
      differing(a[key], b[key], `${path}.${key}`),
    )
  return a === b ? [] : [`${path}: ${JSON.stringify(a)} → ${JSON.stringify(b)}`]
}

const git = (...args) => execFileSync('git', ['-C', root, ...args], { stdio: ['ignore', 'ignore', 'inherit'] })

runMain(main)
