/** Streams that paired devices hold open here: a device that is forgotten hears nothing more. */
const streams = new Map<string, Set<() => void>>()

/** @returns to be called when the stream ends by itself */
export function keepStream(deviceId: string, end: () => void): () => void {
  const mine = streams.get(deviceId) ?? new Set()
  streams.set(deviceId, mine.add(end))
  return () => {
    mine.delete(end)
    if (mine.size === 0) streams.delete(deviceId)
  }
}

export function endStreams(deviceId: string): void {
  for (const end of [...(streams.get(deviceId) ?? [])]) end()
}
