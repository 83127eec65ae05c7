import { useLocalStorage } from '@vueuse/core'
import type { TypedRecord } from '#shared/record'

interface Left {
  record: TypedRecord
  extra: object
}
interface Leaving {
  record: Ref<TypedRecord>
  start: () => TypedRecord
  extra: () => object
  takeExtra: (extra: object) => void
}
const wordsOf = (of: unknown) => JSON.stringify(of)
/** Apart from what is typed on: plain data, as it is kept. */
const copyOf = <T>(of: T): T => JSON.parse(wordsOf(of)) as T

/**
 * A form left half-way stands as it was left when one comes back, until it is saved or begun again. What another page
 * saved meanwhile is another record: then it begins from that.
 */
export function useLeftForm({ record, start, extra, takeExtra }: Leaving) {
  const left = useLocalStorage<Record<string, Left>>('vulcanum.forms', {}, { initOnMounted: true })
  // With its query: that says which kind of thing, and whether it is a copy.
  const { fullPath: path } = useRoute()
  const isBack = ref(false)
  let firstExtra: object = {}
  const isAsBegun = (fields: TypedRecord['fields'], of: object) =>
    wordsOf([fields, of]) === wordsOf([start().fields, firstExtra])
  const forget = () => {
    isBack.value = false
    const { [path]: _gone, ...rest } = left.value
    left.value = rest
  }
  /** What was typed stands on the server now: from here on it is what the form begins with. */
  const saved = () => {
    firstExtra = copyOf(extra())
    forget()
  }
  function comeBack() {
    const found = left.value[path]
    if (found?.record.revision !== start().revision || isAsBegun(found.record.fields, found.extra)) return
    record.value = copyOf(found.record)
    takeExtra(copyOf(found.extra))
    isBack.value = true
  }
  onMounted(() => {
    firstExtra = copyOf(extra())
    comeBack()
    watch(
      () => wordsOf([record.value.fields, extra()]),
      () => {
        if (isAsBegun(record.value.fields, extra())) forget()
        else left.value = { ...left.value, [path]: copyOf({ record: record.value, extra: extra() }) }
      },
    )
  })
  return { isBack, forget, saved }
}
