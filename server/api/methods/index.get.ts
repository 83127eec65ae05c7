import { listMethods } from '#server/methods/methods'

export default defineEventHandler((event) => listMethods(contextOf(event).db))
