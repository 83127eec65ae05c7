import { writeFileSync } from 'node:fs'
import { ownBench } from './lib/ownBench.mjs'
import { readFileSync } from 'node:fs'
const src = readFileSync(new URL('load.mjs', import.meta.url), 'utf8')
const bench = await ownBench('prof')
// reuse bringSeries
const mod = src.replace('runMain(main)', 'export { bringSeries }').replace(/from '\.\/lib/g, "from '/work/main/scripts/lib")
writeFileSync('/work/main/scripts/_bring.mjs', mod)
const { bringSeries } = await import('/work/main/scripts/_bring.mjs')
const id = await bringSeries(bench.server.url)
writeFileSync('/tmp/prof.json', JSON.stringify({ databaseUrl: bench.databaseUrl, url: bench.server.url, id, pid: bench.server.pid }))
console.log('ready', id)
process.on('SIGTERM', async () => { await bench.stop(); process.exit(0) })
setInterval(() => {}, 1e6)
