import { figuresLeft } from '#server/runs/repository/stale'

/** How many figures are still being worked out anew. */
export default defineEventHandler((event) => figuresLeft(contextOf(event).db))
