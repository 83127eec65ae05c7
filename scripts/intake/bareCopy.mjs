/** The same rows into a table of the same shape by COPY alone: what the database itself can do on this machine. */
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'

/** So much is copied, and no more held by this program [samples]. */
const COPIED = 4_000_000
/** It takes a second or two, and the machine has its moods: the best counts. */
const COPY_TRIES = 3
const COLUMNS = 'id, trace_id, seq, first_ms, last_ms, t_ms, v, hash'
const OURS =
  "trace_id in (select t.id from trace t join run r on r.id = t.run_id where t.feed_id is not null and r.state = 'live')"

/**
 * A batch a commit, by as many connections as there were feeds; and all in one.
 * @param feeds how many lanes sent, and how many channels each
 */
export async function bareCopy(bench, { lanes, channels }) {
  const psql = new Psql(bench)
  await psql.ask(
    'drop table if exists copied; create table copied (like trace_chunk including all); alter table copied add foreign key (trace_id) references trace (id)',
  )
  const rows = await storedRows(psql)
  const samples = rows.reduce((sum, row) => sum + row.split('\t')[5].split(',').length, 0)
  const files = Array.from({ length: lanes }, (_, i) => {
    const own = rows.filter((_, j) => Math.floor(j / channels) % lanes === i)
    return written(join(bench.folder, `copy-${i}.sql`), inBatches(own, channels))
  })
  const whole = written(join(bench.folder, 'copy-whole.sql'), [rows])
  const commitS = await best(psql, files)
  const wholeS = await best(psql, [whole])
  return {
    rows: rows.length,
    samples,
    commitPerS: Math.round(samples / commitS),
    wholePerS: Math.round(samples / wholeS),
  }
}

class Psql {
  #programs
  #databaseUrl

  constructor({ programs, databaseUrl }) {
    this.#programs = programs
    this.#databaseUrl = databaseUrl
  }

  run(...args) {
    const options = ['-X', '-q', '-v', 'ON_ERROR_STOP=1', '-d', this.#databaseUrl, ...args]
    return spawn(join(this.#programs, 'psql'), options, { stdio: ['ignore', 'pipe', 'inherit'] })
  }

  async ask(text) {
    const child = this.run('-Atc', text)
    let out = ''
    child.stdout.on('data', (piece) => {
      out += piece
    })
    await once(child, 'close')
    return out
  }
}

/** As COPY writes them, as many as hold so many samples. */
async function storedRows(psql) {
  const mean = Number(await psql.ask(`select avg(cardinality(t_ms)) from trace_chunk where ${OURS}`))
  const most = Math.round(COPIED / mean)
  const text = await psql.ask(
    `copy (select ${COLUMNS} from trace_chunk where ${OURS} order by seq, trace_id limit ${most}) to stdout`,
  )
  return text.split('\n').filter(Boolean)
}

const inBatches = (rows, size) =>
  Array.from({ length: Math.ceil(rows.length / size) }, (_, n) => rows.slice(n * size, (n + 1) * size))

/** @returns the file, which copies each batch by itself */
function written(file, batches) {
  const copies = batches.map((batch) => `copy copied (${COLUMNS}) from stdin;\n${batch.join('\n')}\n\\.\n`)
  writeFileSync(file, copies.join(''))
  return file
}

/** All files at once [s]. */
async function best(psql, files) {
  const took = []
  for (let i = 0; i < COPY_TRIES; i++) {
    await psql.ask('truncate copied')
    const began = performance.now()
    await Promise.all(files.map((file) => once(psql.run('-f', file), 'close')))
    took.push((performance.now() - began) / 1000)
  }
  return Math.min(...took)
}
