export default defineEventHandler((event) => contextOf(event).workspace.simulated.list())
