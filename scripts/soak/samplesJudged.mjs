/** What instruments sent against what is stored: each sample once, with its moment and its value. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import pg from 'pg'

/**
 * @returns how many were sent, are stored, are wrong; and of the station that is killed again and again, how many were
 * acknowledged to it, and are wrong
 */
export async function samplesJudged({ databaseUrl, folder, sentFile, lanes }) {
  const sent = JSON.parse(readFileSync(sentFile, 'utf8'))
  const client = new pg.Client({ connectionString: databaseUrl })
  await client.connect()
  const { rows } = await client.query(
    `select r.lane, t.channel, extract(epoch from r.started_at) * 1000 as zero_ms, c.t_ms, c.v
       from run r join trace t on t.run_id = r.id join trace_chunk c on c.trace_id = t.id
      where r.state in ('draft', 'live') order by c.seq`,
  )
  await client.end()
  const storedOf = (lane, channel, factor) =>
    rows
      .filter((row) => row.lane === lane && row.channel === channel)
      .flatMap((row) =>
        row.t_ms.map((t, i) => [Math.round(Number(row.zero_ms) + t), Number((row.v[i] * factor).toFixed(6))]),
      )
  const judged = { sent: 0, stored: 0, wrong: 0, ...stationJudged(folder, storedOf('A', 'pressure', 0.01)) }
  for (const lane of lanes) {
    for (const [channel, samples] of Object.entries(sent[lane])) {
      const stored = storedOf(lane, channel, channel === 'scale' ? 1000 : 1).sort((a, b) => a[0] - b[0])
      judged.sent += samples.length
      judged.stored += stored.length
      judged.wrong += samples.filter(([ms, value], i) => stored[i]?.[0] !== ms || stored[i]?.[1] !== value).length
    }
  }
  return judged
}

/** All that was acknowledged is there, and nothing that was not sent; each once. */
function stationJudged(folder, pressures) {
  const read = (name) =>
    readFileSync(join(folder, name), 'utf8')
      .trim()
      .split('\n')
      .filter((line) => line.includes(',pressure,'))
      .map((line) => `${line.split(',')[0]} ${Number(line.split(',')[2])}`)
  const stored = pressures.map(([ms, value]) => `${ms} ${value}`)
  const [acked, logged, known] = [new Set(read('station.acked')), new Set(read('station.log')), new Set(stored)]
  return {
    stationAcknowledged: acked.size,
    stationWrong:
      [...acked].filter((one) => !known.has(one)).length +
      stored.filter((one) => !logged.has(one)).length +
      stored.length -
      known.size,
  }
}
