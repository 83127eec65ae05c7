import { keepQuestion } from '#server/comparisons/kept'

export default defineEventHandler((event) => callService(event, (body) => keepQuestion(contextOf(event).db, body)))
