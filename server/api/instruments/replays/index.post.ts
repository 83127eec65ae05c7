import { answersHere } from '#server/instruments/simulators'

export default defineEventHandler((event) =>
  callService(event, (body) => contextOf(event).workspace.simulated.startReplay(body, answersHere())),
)
