/** `npm run reduce`: the core from the command line. */
import { runCommand } from './lib/command.mjs'

await runCommand('reduce.ts')
