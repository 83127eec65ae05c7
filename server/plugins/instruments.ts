import { keepRehearsals } from '../instruments/rehearsals'
import { answersHere } from '../instruments/simulators'
import { startTcpGateway } from '../instruments/tcpGateway'
import { servedWorkspace } from '../workspace/served'

/** Instruments may keep a connection open, at the port that the start command names; none named, none is opened. */
export default defineNitroPlugin((nitro) => {
  const port = Number(process.env.VULCANUM_INSTRUMENT_PORT || 0)
  if (!process.env.DATABASE_URL || !(port > 0)) return
  const workspace = servedWorkspace()
  let leave: (() => void) | null = null
  const stop = startTcpGateway(workspace, port, (is) => {
    leave?.()
    leave = is ? keepRehearsals(workspace.db, answersHere()) : null
  })
  nitro.hooks.hook('close', stop)
})
