export default defineEventHandler((event) => {
  contextOf(event).workspace.pairing.close()
  return null
})
