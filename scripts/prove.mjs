/** `npm run prove`: the proofs over many seeds, all of them; `npm test` goes through a tenth of each. */
import { at } from './lib/paths.mjs'
import { runHere } from './lib/processes.mjs'
import { runMain, Stop } from './lib/say.mjs'

runMain(async () => {
  const env = { ...process.env, VULCANUM_PROVE: '1' }
  const code = await runHere(process.execPath, [at('scripts', 'test.mjs'), 'unit', 'db', ...process.argv.slice(2)], {
    env,
  })
  if (code !== 0) throw new Stop('Not all is proved.')
})
