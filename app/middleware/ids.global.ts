import { isUuid } from '#shared/uuid'

/** A page's address names a record by its id, or a new one; nothing else is asked for. */
export default defineNuxtRouteMiddleware(({ params }) => {
  if (!('id' in params) || params.id === 'new' || isUuid(String(params.id))) return
  return abortNavigation(
    createError({
      statusCode: 404,
      message: `"${String(params.id).slice(0, 40)}" is not an id. Open it from its list.`,
    }),
  )
})
