/**
 * Lists of numbers as PostgreSQL itself sends them: not as digits. Source: array_recv, int4recv, float8recv of
 * PostgreSQL's source; from memory, held by a test that reads them back.
 */

const HEAD_BYTES = 20
const [INT4, FLOAT8] = [23, 701]

// A loop for each type: one that is given how to write takes two to four times as long.
export function intArray(values: readonly number[]): Buffer {
  const view = arrayOf(INT4, 4, values.length)
  for (let i = 0, at = HEAD_BYTES; i < values.length; i++, at += 8) {
    const value = values[i]!
    // A number that does not fit would wrap in silence.
    if ((value | 0) !== value) throw new RangeError(`${value} is no whole number of 32 bits`)
    view.setInt32(at, 4)
    view.setInt32(at + 4, value)
  }
  return Buffer.from(view.buffer)
}

export function floatArray(values: readonly number[]): Buffer {
  const view = arrayOf(FLOAT8, 8, values.length)
  for (let i = 0, at = HEAD_BYTES; i < values.length; i++, at += 12) {
    view.setInt32(at, 8)
    view.setFloat64(at + 4, values[i]!)
  }
  return Buffer.from(view.buffer)
}

/**
 * One dimension, no nulls, the element's type, the length, the first index; then, for the caller to write, each element
 * after its length.
 */
function arrayOf(type: number, size: number, length: number): DataView<ArrayBuffer> {
  const view = new DataView(new ArrayBuffer(HEAD_BYTES + length * (4 + size)))
  for (const [i, word] of [1, 0, type, length, 1].entries()) view.setInt32(4 * i, word)
  return view
}
