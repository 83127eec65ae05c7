import { claimLines } from '#server/comparisons/claims'

export default defineEventHandler((event) => claimLines(contextOf(event).db, requireId(event)))
