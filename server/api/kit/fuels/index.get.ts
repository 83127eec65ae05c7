import { listBatches } from '#server/kit/fuels'

export default defineEventHandler((event) => listBatches(contextOf(event).db))
