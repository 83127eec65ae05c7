import { today } from '#server/runs/today'

export default defineEventHandler((event) => answerInCommon(event, () => today(contextOf(event).db)))
