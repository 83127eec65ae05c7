import { listContainers } from '#server/kit/containers'

export default defineEventHandler((event) => listContainers(contextOf(event).db))
