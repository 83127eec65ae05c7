/**
 * A request's path as it was written. One that could be read in two ways (by the gate, the router, a page) is nobody's.
 */

/**
 * What one segment may be made of, decoded: no separator of any reader's, nothing encoded twice, no control character.
 */
const SEGMENT = /^[^/\\?#%\p{Cc}]+$/u

/**
 * The path without its query; null where it is not spelled plainly: a backslash, dot segments, doubled slashes, encoded
 * separators, broken encoding.
 */
export function plainPath(url: string): string | null {
  const path = url.split('?', 1)[0]!
  if (path === '/') return path
  if (!/^\/[\x21-\x7E]+$/.test(path)) return null
  const segments = path.slice(1).replace(/\/$/, '').split('/')
  return segments.every(isPlain) ? `/${segments.join('/')}` : null
}

function isPlain(segment: string): boolean {
  const decoded = decodedOf(segment)
  return (
    decoded !== null &&
    SEGMENT.test(decoded) &&
    decoded !== '.' &&
    decoded !== '..' &&
    !segment.includes('\\') &&
    !segment.includes('#')
  )
}

function decodedOf(segment: string): string | null {
  try {
    return decodeURIComponent(segment)
  } catch {
    return null
  }
}
