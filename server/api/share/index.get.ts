import { shareState } from '#server/share/shareState'

export default defineEventHandler((event) => shareState(contextOf(event).workspace, Date.now()))
