/** Readers of an open stream who take nothing of it hold nothing here. */
import type { ServerResponse } from 'node:http'
import { MOST_UNREAD_BYTES } from './limits'

/** Whether this reader takes what it is sent; one that does not is let go. */
export function stillReads(response: ServerResponse): boolean {
  if (response.writableLength <= MOST_UNREAD_BYTES) return true
  response.destroy()
  return false
}
