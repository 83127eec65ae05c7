import { listThings } from '#server/kit/things'

export default defineEventHandler((event) => listThings(contextOf(event).db, Date.now()))
