import { v7 as uuidv7 } from 'uuid'
import type { TypedFields } from '#shared/fields'
import type { FieldProblem } from '#shared/readProblems'
import type { Refusal, RunRef, TypedRecord } from '#shared/record'
import { send } from '~/api/send'

const NOT_REFUSED: Refusal = { problems: [] }
function useRefusal() {
  const problems = ref<FieldProblem[]>([])
  const theirs = ref<TypedRecord | null>(null)
  const runs = ref<RunRef[]>([])
  const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text
  const take = (refusal: Refusal) => {
    problems.value = refusal.problems
    theirs.value = refusal.theirs ?? null
    runs.value = refusal.runs ?? []
  }
  return { problems, problemAt, theirs, runs, take }
}

interface RecordFormOptions<T> {
  url: (id: string) => string
  start: () => TypedRecord
  extra?: () => object
  /** Puts back what `extra` gave when the form was left. */
  takeExtra?: (extra: object) => void
  saved: (value: T) => unknown
}

/** A form over one record: its fields, what is wrong with them, saving, and what another page saved meanwhile. */
export function useRecordForm<T>(options: RecordFormOptions<T>) {
  const { start, extra = () => ({}), takeExtra = () => undefined } = options
  const record = ref<TypedRecord>(copyOf(start()))
  const { take, ...refusal } = useRefusal()
  const { isBack, forget, saved } = useLeftForm({ record, start, extra, takeExtra })
  const sending = useRecordSending({ ...options, record, take, stored: saved })
  /** Mine over theirs: both were seen. */
  async function keepMine() {
    record.value.revision = refusal.theirs.value!.revision
    await sending.save()
  }
  const restart = (from: TypedRecord = start()) => {
    record.value = copyOf(from)
    take(NOT_REFUSED)
    forget()
  }
  /** Theirs, as if it had been opened now. */
  const takeTheirs = () => restart(refusal.theirs.value!)
  return { record, ...refusal, ...sending, isBack, keepMine, takeTheirs, restart }
}
const copyOf = (one: TypedRecord) => structuredClone(toRaw(one))

/** Saves a record and deletes it; what it is refused for is taken down. */
function useRecordSending<T>({
  url,
  extra,
  saved,
  record,
  take,
  stored,
}: RecordFormOptions<T> & { record: Ref<TypedRecord>; take: (refusal: Refusal) => void; stored: () => void }) {
  const { units } = usePreferences()
  const saving = ref(false)
  async function save() {
    saving.value = true
    const body = { ...record.value, units: units.value, ...extra?.() }
    const sent = await send<T>(url(record.value.id), 'PUT', body)
    saving.value = false
    take(sent.ok ? NOT_REFUSED : sent)
    if (!sent.ok) return
    stored()
    // Whatever shows this record, or lists it, reads it anew: the page gone to may share its data with this one.
    await refreshNuxtData()
    await saved(sent.value)
  }
  async function remove(gone: () => unknown) {
    const sent = await send<null>(url(record.value.id), 'DELETE')
    take(sent.ok ? NOT_REFUSED : sent)
    if (!sent.ok) return
    stored()
    await gone()
  }
  return { saving, save, remove }
}

/** A record that is not saved yet. */
export const newRecord = (fields: TypedFields): TypedRecord => ({
  id: uuidv7(),
  revision: 0,
  units: 'metric',
  personId: null,
  reason: '',
  fields,
})
