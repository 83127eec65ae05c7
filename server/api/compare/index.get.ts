import { listQuestions } from '#server/comparisons/listQuestions'

export default defineEventHandler((event) => listQuestions(contextOf(event).db))
