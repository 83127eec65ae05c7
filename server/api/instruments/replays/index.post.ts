import { useDatabase } from '#server/database/connection'
import { answersHere, startReplay } from '#server/instruments/simulated'

export default defineEventHandler((event) =>
  throughDoor(event, (body) => startReplay(useDatabase(), body, answersHere())),
)
