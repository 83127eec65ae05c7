/** Processes: run one to its end, tell whether one lives, stop one. */
import { spawn, spawnSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { root } from './paths.mjs'

/** Runs a program; its output is kept and shown only when it fails. */
export function run(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options })
    let output = ''
    const keep = (chunk) => {
      output = (output + chunk).slice(-20_000)
    }
    child.stdout.on('data', keep)
    child.stderr.on('data', keep)
    child.on('error', reject)
    child.on('close', (code) =>
      code === 0 ? resolve(output) : reject(new Error(`${program} ${args.join(' ')} ended with ${code}:\n${output}`)),
    )
  })
}

/** Runs a program on this terminal; resolves with its exit code. */
export function runHere(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: 'inherit', ...options })
    child.on('error', reject)
    child.on('close', (code, signal) => resolve(code ?? (signal ? 1 : 0)))
  })
}

/** Runs a program; resolves with its exit code and all it printed. */
export function runKept(program, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'], ...options })
    const output = []
    child.stdout.on('data', (chunk) => output.push(chunk))
    child.stderr.on('data', (chunk) => output.push(chunk))
    child.on('error', reject)
    child.on('close', (code) => resolve({ code: code ?? 1, output: Buffer.concat(output).toString() }))
  })
}

/** The command line of a living process; '' where it is gone, or a zombie. */
export function commandLine(pid) {
  try {
    return readFileSync(`/proc/${pid}/cmdline`, 'utf8').replaceAll('\0', ' ').trim()
  } catch {
    if (process.platform === 'linux') return ''
    return spawnSync('ps', ['-o', 'command=', '-p', String(pid)], { encoding: 'utf8' }).stdout?.trim() ?? ''
  }
}

/**
 * When a process began, in the kernel's own count: with its pid it names one process, even after the pid is used again.
 */
function beginning(pid) {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19]
  } catch {
    return spawnSync('ps', ['-o', 'lstart=', '-p', String(pid)], { encoding: 'utf8' }).stdout?.trim() ?? ''
  }
}

export const identity = (pid = process.pid) => ({ pid, began: beginning(pid) })
export const isSame = (one) => Boolean(one?.pid) && commandLine(one.pid) !== '' && beginning(one.pid) === one.began

/** Ends a process of ours: asks first, then insists. */
export async function end(pid, signal = 'SIGTERM', patienceMs = 5000) {
  if (!signalTo(pid, signal)) return
  for (let waited = 0; waited < patienceMs; waited += 50) {
    if (commandLine(pid) === '') return
    await sleep(50)
  }
  signalTo(pid, 'SIGKILL')
}

function signalTo(pid, signal) {
  try {
    process.kill(pid, signal)
    return true
  } catch {
    return false
  }
}

export const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))
