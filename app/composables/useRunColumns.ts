import { RUN_COLUMNS, USUAL_COLUMNS, type RunColumnKey } from '~/utils/runColumns'

/** The columns of this browser, in their order; a cookie, so that the first drawing has them. */
export function useRunColumns() {
  const chosen = useListCookie<RunColumnKey>('columns', RUN_COLUMNS, USUAL_COLUMNS)
  const columns = computed(() => RUN_COLUMNS.filter((key) => chosen.value.includes(key) || key === 'when'))
  const toggle = (key: RunColumnKey) => {
    chosen.value = chosen.value.includes(key) ? chosen.value.filter((one) => one !== key) : [...chosen.value, key]
  }
  return { columns, toggle }
}
