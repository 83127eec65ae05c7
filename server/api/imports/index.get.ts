import { listImports } from '#server/import/imports'

export default defineEventHandler((event) => listImports(contextOf(event).db))
