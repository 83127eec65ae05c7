export default defineEventHandler(async (event) =>
  answerOutcome(event, await contextOf(event).workspace.simulated.stop(requireId(event))),
)
