/** Photos that wait in this browser's store; one that is refused stays, with why, and holds up no other. */
import { FetchError } from 'ofetch'
import type { FieldProblem } from '#shared/readProblems'
import { dropPhoto, keepPhoto, waitingPhotos, type WaitingPhoto } from './disk'

export async function sendPhotos(): Promise<void> {
  const waiting = (await waitingPhotos()).filter((one) => one.refused === null)
  for (const photo of waiting) {
    const refused = await sendPhoto(photo)
    if (refused === null) await dropPhoto(photo.id)
    else await keepPhoto({ ...photo, refused })
  }
}

/** @returns why the server would not have it; null: it has it. Throws where it may be tried again. */
async function sendPhoto({ id, runId, atMs, bytes }: WaitingPhoto): Promise<string | null> {
  try {
    await $fetch(`/api/photos/${id}`, {
      method: 'PUT',
      query: { owner: 'run', ownerId: runId, ...(atMs === null ? {} : { atMs }) },
      body: bytes,
      headers: { 'content-type': 'application/octet-stream' },
      retry: 0,
      timeout: 60_000,
    })
    return null
  } catch (error) {
    const { statusCode = 0, data } = error instanceof FetchError ? error : {}
    if (statusCode < 400 || statusCode >= 500) throw error
    return (data as { problems?: FieldProblem[] } | undefined)?.problems?.[0]?.text ?? 'The server refused it.'
  }
}
