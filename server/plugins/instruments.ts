import { useDatabase } from '../database/connection'
import { keepRehearsals } from '../instruments/rehearsals'
import { answersHere } from '../instruments/simulated'
import { startTcpGateway } from '../instruments/tcpGateway'

/** Instruments may keep a connection open, at the port that the start command names; none named, none is opened. */
export default defineNitroPlugin((nitro) => {
  const url = process.env.DATABASE_URL
  const port = Number(process.env.VULCANUM_INSTRUMENT_PORT || 0)
  if (!url || !(port > 0)) return
  let leave: (() => void) | null = null
  const stop = startTcpGateway(useDatabase(), url, port, (is) => {
    leave?.()
    leave = is ? keepRehearsals(useDatabase(), answersHere()) : null
  })
  nitro.hooks.hook('close', stop)
})
