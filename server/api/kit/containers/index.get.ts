import { useDatabase } from '#server/database/connection'
import { listContainers } from '#server/kit/containers'

export default defineEventHandler(() => listContainers(useDatabase()))
