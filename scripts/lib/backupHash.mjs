/**
 * What a back-up ends with: the hash of all that stands before, so that one changed byte is told before anything is
 * restored. PostgreSQL's programs do not read so far.
 */
import { createHash } from 'node:crypto'
import { appendFileSync, closeSync, createReadStream, openSync, readSync, statSync } from 'node:fs'
import { pipeline } from 'node:stream/promises'
import { Stop } from './say.mjs'

const MARK = '\nvulcanum-backup sha256:'
const LENGTH = MARK.length + 64 + 1

async function hashOf(file, bytes) {
  const hash = createHash('sha256')
  if (bytes > 0) await pipeline(createReadStream(file, { end: bytes - 1 }), hash)
  return hash.digest('hex')
}

export async function addHash(file) {
  appendFileSync(file, `${MARK}${await hashOf(file, statSync(file).size)}\n`)
}

/** Refuses a file that is not as it was written. */
export async function checkHash(file, { unchecked }) {
  const before = statSync(file).size - LENGTH
  const end = before > 0 ? endOf(file, before) : ''
  if (!end.startsWith(MARK)) {
    if (unchecked) return
    throw new Stop(
      `${file} does not end with its hash: it is no back-up that this version wrote, it broke off, or its end was altered. Nothing was changed.\nWhere an earlier version wrote it: npm run restore -- --unchecked ${file}`,
    )
  }
  if (end !== `${MARK}${await hashOf(file, before)}\n`)
    throw new Stop(
      `${file} is not as it was written: it was altered, or broke off on the way. Nothing was changed; take another copy of it.`,
    )
}

function endOf(file, from) {
  const handle = openSync(file, 'r')
  try {
    const buffer = Buffer.alloc(LENGTH)
    readSync(handle, buffer, 0, LENGTH, from)
    return buffer.toString('latin1')
  } finally {
    closeSync(handle)
  }
}
