import type { Ref } from 'vue'
import type { FieldProblem } from '#shared/readProblems'

/**
 * The record that a page's address names, or none yet where it says "new"; one that is not there is an error in words.
 */
export async function useRecordPage<T>(
  base: string,
): Promise<{ isNew: boolean; page: Ref<T | null>; refresh: () => Promise<void> }> {
  const { id } = useRoute().params
  if (id === 'new') return { isNew: true, page: ref(null), refresh: async () => undefined }
  const { data, error, refresh } = await useFetch<T>(`${base}/${String(id)}`)
  if (error.value)
    throw createError({
      statusCode: error.value.statusCode ?? 500,
      message:
        (error.value.data as { problems?: FieldProblem[] } | undefined)?.problems?.[0]?.text ?? 'It could not be read.',
      fatal: true,
    })
  return { isNew: false, page: data as Ref<T | null>, refresh: async () => refresh() }
}
