import { readPhoto } from '#server/kit/photos'

export default defineEventHandler(async (event) => {
  const { type, bytes } = requireFound(await readPhoto(contextOf(event).db, requireId(event), false), 'photo')
  setHeaders(event, {
    'content-type': type,
    'x-content-type-options': 'nosniff',
    'cache-control': 'private, max-age=86400',
    'content-security-policy': "default-src 'none'",
  })
  return bytes
})
