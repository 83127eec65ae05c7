/** What the bench's clock says; a device takes the half-way of asking and hearing. */
export default defineEventHandler(async (event) => {
  setResponseHeader(event, 'cache-control', 'no-store')
  return { serverMs: await contextOf(event).workspace.clock.now() }
})
