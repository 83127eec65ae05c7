/** `npm run compare`: a question of runs, answered from the command line. */
import { runCommand } from './lib/command.mjs'

await runCommand('compare.ts')
