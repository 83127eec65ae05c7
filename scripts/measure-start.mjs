/** Measures a warm start: from `npm start` to the first page, several times. Needs one finished start before. */
import { spawn } from 'node:child_process'
import { root } from './lib/paths.mjs'

const TIMES = Number(process.argv[2] ?? 3)
const LIMIT_S = 10

if (process.argv.includes('--help')) {
  console.log('node scripts/measure-start.mjs [TIMES]   seconds from npm start to the first page; fails over 10 s')
  process.exit(0)
}

/** Starts, waits for the address, fetches the first page, stops. */
function once() {
  return new Promise((resolve, reject) => {
    const began = performance.now()
    const child = spawn(process.execPath, ['scripts/start.mjs'], { cwd: root, env: { ...process.env, PORT: '3977' }, stdio: ['ignore', 'pipe', 'inherit'] })
    let output = ''
    let outcome = null
    child.stdout.on('data', async (chunk) => {
      output += chunk
      const address = /^Vulcanum is at (\S+)/m.exec(output)?.[1]
      if (!address || child.killed) return
      child.stdout.removeAllListeners('data')
      const page = await fetch(`${address}/runs`)
      const text = await page.text()
      const seconds = (performance.now() - began) / 1000
      outcome = page.ok && text.includes('<h1') ? seconds : new Error(`The page answered ${page.status}`)
      child.kill('SIGINT')
    })
    child.on('close', () => {
      outcome ??= new Error(`It ended before the page:\n${output}`)
      if (outcome instanceof Error) reject(outcome)
      else resolve(outcome)
    })
  })
}

const seconds = []
for (let i = 0; i < TIMES; i++) seconds.push(await once())
console.log(`warm start to the first page: ${seconds.map(value => value.toFixed(1)).join(', ')} s (limit ${LIMIT_S} s)`)
process.exit(Math.max(...seconds) < LIMIT_S ? 0 : 1)
