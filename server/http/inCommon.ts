/**
 * Readers of the same at the same time are answered by one reading. It begins after each of them asked, so that nobody
 * is told what stood before their own writing.
 */

const running = new Map<string, Promise<unknown>>()
/** Not begun yet: whoever asks now is answered by it. */
const next = new Map<string, Promise<unknown>>()

/** @param key of what is read: the same key, the same answer */
export function inCommon<T>(key: string, read: () => Promise<T>): Promise<T> {
  const waiting = next.get(key)
  if (waiting) return waiting as Promise<T>
  const before = running.get(key)
  if (!before) return begin(key, read)
  const mine = before
    .then(
      () => undefined,
      () => undefined,
    )
    .then(() => {
      next.delete(key)
      return begin(key, read)
    })
  next.set(key, mine)
  return mine
}

function begin<T>(key: string, read: () => Promise<T>): Promise<T> {
  const mine = read()
  running.set(key, mine)
  const over = () => {
    if (running.get(key) === mine) running.delete(key)
  }
  mine.then(over, over)
  return mine
}
