/** Lays a study's days out in the background: the page stays with the hand. */
import { expose } from 'comlink'
import { plannedDays } from '#shared/plannedDays'

const api = { plannedDays }
export type PlannedDaysWorker = typeof api
expose(api)
