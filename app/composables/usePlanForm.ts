import { send } from '~/api/send'
import type { StudyPage } from '#shared/plan'

/** A study that is typed and sent: what is wrong with it stands at its field. */
export function usePlanForm(form: Ref<PlanForm>, personId: () => string | null) {
  const problems = ref<PlanProblems>({})
  const { units } = usePreferences()
  async function put(): Promise<StudyPage | null> {
    const { study, problems: unread } = typedStudy(form.value, personId(), units.value)
    problems.value = unread
    if (Object.keys(unread).length > 0) return null
    const sent = await send<StudyPage>(`/api/plan/${study.id}`, 'PUT', study)
    if (sent.ok) return sent.value
    problems.value = Object.fromEntries(sent.problems.map(({ path, text }) => [path, text]))
    return null
  }
  return { problems, put }
}
