import { listSimulated } from '#server/instruments/simulated'

export default defineEventHandler(() => listSimulated())
