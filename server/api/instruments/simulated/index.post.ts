import { useDatabase } from '#server/database/connection'
import { startSimulated } from '#server/instruments/simulated'

export default defineEventHandler(event => throughDoor(event, body => startSimulated(useDatabase(), body, { bench: `http://127.0.0.1:${process.env.PORT ?? '3000'}`, port: Number(process.env.VULCANUM_INSTRUMENT_PORT || 0) })))
