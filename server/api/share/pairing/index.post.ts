import { shareState } from '#server/share/shareState'

/** Opens pairing for two minutes, with another code. */
export default defineEventHandler((event) => {
  contextOf(event).workspace.pairing.open(Date.now())
  return shareState(contextOf(event).workspace, Date.now())
})
