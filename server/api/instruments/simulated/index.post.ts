import { useDatabase } from '#server/database/connection'
import { answersHere, startSimulated } from '#server/instruments/simulated'

export default defineEventHandler((event) =>
  throughDoor(event, (body) => startSimulated(useDatabase(), body, answersHere())),
)
