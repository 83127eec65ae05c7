/** For the measuring scripts: `npm start` as a child, what is measured while it serves, and its end. */
import { spawn } from 'node:child_process'
import { root } from './paths.mjs'

const PORT = '3977'

/** Starts, hands the address and the seconds it took to `measure`, stops; gives what `measure` gave. */
export function whileServing(measure) {
  return new Promise((resolve, reject) => {
    const began = performance.now()
    const child = spawn(process.execPath, ['scripts/start.mjs'], {
      cwd: root,
      env: { ...process.env, PORT },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    let output = ''
    let outcome = null
    const listen = (chunk) => {
      output += chunk
      const address = /^Vulcanum is at (\S+)/m.exec(output)?.[1] ?? /running already: (\S+)/.exec(output)?.[1]
      if (!address) return
      child.stdout.off('data', listen)
      measure(address, began)
        .then(
          (value) => ({ value }),
          (error) => ({ error }),
        )
        .then((done) => {
          outcome = done
          child.kill('SIGINT')
        })
    }
    child.stdout.on('data', listen)
    child.on('close', () => {
      if (outcome === null) reject(new Error(`It ended before the page:\n${output}`))
      else if (outcome.error) reject(outcome.error)
      else resolve(outcome.value)
    })
  })
}
