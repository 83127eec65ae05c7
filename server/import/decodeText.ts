/** Bytes of somebody's table as text, whatever wrote them; what was not plain UTF-8 is said. */
export interface Decoded {
  text: string
  notes: string[]
}

const strict = new TextDecoder('utf-8', { fatal: true })
const western = new TextDecoder('windows-1252')

/** Null: this is no text. */
export function decodeText(bytes: Buffer): Decoded | null {
  const [a, b] = bytes
  if (a === 0xff && b === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), notes: [] }
  if (a === 0xfe && b === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes), notes: [] }
  if (bytes.includes(0)) return null
  try {
    return { text: strict.decode(bytes), notes: [] }
  } catch {
    return lineByLine(bytes)
  }
}

/** Files that several programs wrote to: each line by itself, as UTF-8 where it is, else as Windows-1252. */
function lineByLine(bytes: Buffer): Decoded {
  const lines: string[] = []
  let others = 0
  for (let from = 0; from <= bytes.length;) {
    const end = bytes.indexOf(10, from)
    const line = bytes.subarray(from, end < 0 ? bytes.length : end + 1)
    try {
      lines.push(strict.decode(line))
    } catch {
      lines.push(western.decode(line))
      others += 1
    }
    if (end < 0) break
    from = end + 1
  }
  return {
    text: lines.join(''),
    notes: [
      `${others === 1 ? 'One line is' : `${others} lines are`} not UTF-8 and ${others === 1 ? 'was' : 'were'} read as Windows-1252. Look at names and degree signs.`,
    ],
  }
}
