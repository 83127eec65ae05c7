import { listSetups } from '#server/kit/setups'

export default defineEventHandler((event) => listSetups(contextOf(event).db))
