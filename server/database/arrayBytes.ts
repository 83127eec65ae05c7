/** Lists of numbers as PostgreSQL itself sends them: not as digits. Source: array_recv, int4recv, float8recv of PostgreSQL's source; from memory, held by a test that reads them back. */

const HEAD_BYTES = 20
const [INT4, FLOAT8] = [23, 701]

export const intArray = (values: readonly number[]): Buffer => arrayBytes(values, INT4, 4, (view, at, value) => view.setInt32(at, whole(value)))
export const floatArray = (values: readonly number[]): Buffer => arrayBytes(values, FLOAT8, 8, (view, at, value) => view.setFloat64(at, value))

/** One dimension, no nulls, the element's type, the length, the first index; then each element after its length. */
function arrayBytes(values: readonly number[], type: number, size: number, write: (view: DataView, at: number, value: number) => void): Buffer {
  const view = new DataView(new ArrayBuffer(HEAD_BYTES + values.length * (4 + size)))
  for (const [i, word] of [1, 0, type, values.length, 1].entries()) view.setInt32(4 * i, word)
  for (let i = 0, at = HEAD_BYTES; i < values.length; i++, at += 4 + size) {
    view.setInt32(at, size)
    write(view, at + 4, values[i]!)
  }
  return Buffer.from(view.buffer)
}
/** A number that does not fit would wrap in silence. */
function whole(value: number): number {
  if ((value | 0) !== value) throw new RangeError(`${value} is no whole number of 32 bits`)
  return value
}
