import { find } from '#server/find/repository/find'

const MOST_CHARACTERS = 200

export default defineEventHandler((event) => {
  const { words } = readQuery(event)
  return find(contextOf(event).db, typeof words === 'string' ? words.slice(0, MOST_CHARACTERS) : '')
})
