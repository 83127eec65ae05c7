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

/** A form over one record: its fields, what is wrong with them, saving, and what another page saved meanwhile. */
export function useRecordForm<T>(options: {
  url: (id: string) => string
  start: () => TypedRecord
  extra?: () => object
  saved: (value: T) => unknown
}) {
  const { units } = usePreferences()
  const copyOf = (one: TypedRecord) => structuredClone(toRaw(one))
  const record = ref<TypedRecord>(copyOf(options.start()))
  const { problems, problemAt, theirs, runs, take } = useRefusal()
  const saving = ref(false)

  async function save() {
    saving.value = true
    const body = { ...record.value, units: units.value, ...options.extra?.() }
    const sent = await send<T>(options.url(record.value.id), 'PUT', body)
    saving.value = false
    take(sent.ok ? NOT_REFUSED : sent)
    if (!sent.ok) return
    // Whatever shows this record, or lists it, reads it anew: the page gone to may share its data with this one.
    await refreshNuxtData()
    await options.saved(sent.value)
  }
  async function remove(gone: () => unknown) {
    const sent = await send<null>(options.url(record.value.id), 'DELETE')
    take(sent.ok ? NOT_REFUSED : sent)
    if (sent.ok) await gone()
  }
  /** Mine over theirs: both were seen. */
  async function keepMine() {
    record.value.revision = theirs.value!.revision
    await save()
  }
  const restart = (from: TypedRecord = options.start()) => {
    record.value = copyOf(from)
    take(NOT_REFUSED)
  }
  /** Theirs, as if it had been opened now. */
  const takeTheirs = () => restart(theirs.value!)
  return { record, problems, problemAt, theirs, runs, saving, save, remove, keepMine, takeTheirs, restart }
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
