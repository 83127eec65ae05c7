import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const run = (name: string, ...args: string[]) =>
  spawnSync(process.execPath, ['--import', 'tsx', join('simulators', `${name}.ts`), ...args], {
    encoding: 'utf8',
    timeout: 25_000,
    env: { ...process.env, VULCANUM_TOKEN: name === 'scale' && args.length === 0 ? '' : 'abc' },
  })

// What cannot be is said before anything is sent: a rate that is no number would send a thousand lines a second.
it.each([
  // Other users of the machine can read a command line.
  ['scale', [], 'VULCANUM_TOKEN: missing.'],
  ['scale', ['--token', 'abc'], "Unknown option '--token'"],
  ['thermometer', ['--hz', 'fast'], '--hz: read "fast", expected a number from 0.05 to 50.'],
  ['scale', ['--dropouts', '1.5'], '--dropouts: read "1.5", expected a number from 0 to 1.'],
  ['windMeter', ['--air', '-80'], '--air: read "-80", expected a number from -60 to 60.'],
  ['weatherStation', ['--setup', 'jar'], '--setup: read "jar", expected one of narrow-open,'],
  ['scale', ['--lane', 'G'], '--lane: read "G", expected A to F.'],
  ['thermometer', ['--wet'], "Unknown option '--wet'"],
  ['replay', [], '--file: missing.'],
  ['replay', ['--file', 'nowhere.csv'], '--file: nowhere.csv cannot be read: ENOENT'],
])('%s %j ends with code 1 and words', (name, args, words) => {
  const ended = run(name, ...args)
  expect(ended.stderr).toContain(words)
  expect(ended.stderr).not.toMatch(/^\s+at /m)
  expect(ended.status).toBe(1)
})

it('a recording with nothing in it is refused in words; --help is no fault', () => {
  const file = join(mkdtempSync(join(tmpdir(), 'vulcanum-recording-')), 'empty.csv')
  writeFileSync(file, 'one,two\n')
  expect(run('replay', '--file', file)).toMatchObject({
    status: 1,
    stderr: expect.not.stringContaining('    at ') as string,
  })
  expect(run('thermometer', '--help')).toMatchObject({
    status: 0,
    stderr: '',
    stdout: expect.stringContaining('--stuck-after S') as string,
  })
})
