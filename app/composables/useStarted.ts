import { problemOf, send } from '~/api/send'
/** What the server starts and stops at a path: one more, one less, and what it would not have. */
export function useStarted<T>(path: string, changed: () => void) {
  const problem = ref('')
  async function ask(...to: Parameters<typeof send<T>>): Promise<T | null> {
    const sent = await send<T>(...to)
    problem.value = problemOf(sent)
    changed()
    return sent.ok ? sent.value : null
  }
  return {
    problem,
    begin: (body: object) => ask(path, 'POST', body),
    stop: (id: string) => ask(`${path}/${id}`, 'DELETE'),
  }
}
