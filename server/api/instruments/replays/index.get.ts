import { listReplays } from '#server/instruments/simulated'

export default defineEventHandler(() => listReplays())
