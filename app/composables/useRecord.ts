import { FetchError } from 'ofetch'
import { v7 as uuidv7 } from 'uuid'
import type { TypedFields } from '#shared/fields'
import type { FieldProblem } from '#shared/readProblems'
import type { Refusal, RunRef, TypedRecord } from '#shared/record'

export type Sent<T> = { ok: true; value: T } | ({ ok: false } & Refusal)
const AWAY: FieldProblem = {
  path: '',
  text: 'The server did not answer. Nothing was saved; what you typed stays here. Send it again when it is back.',
}

/**
 * Sends something to a service of the kit. What goes wrong comes back in words, with the other's version or the runs in
 * the way.
 */
export async function sendTo<T>(url: string, method: 'PUT' | 'POST' | 'DELETE', body?: object): Promise<Sent<T>> {
  try {
    const { value } = await $fetch<{ value: T }>(url, { method, body })
    return { ok: true, value }
  } catch (error) {
    const refusal = error instanceof FetchError ? (error.data as Refusal | undefined) : undefined
    return { ok: false, problems: refusal?.problems ?? [AWAY], theirs: refusal?.theirs, runs: refusal?.runs }
  }
}

/** A form over one record: its fields, what is wrong with them, saving, and what another page saved meanwhile. */
export function useRecordForm<T>(options: {
  url: (id: string) => string
  start: () => TypedRecord
  extra?: () => object
  saved: (value: T) => unknown
}) {
  const { units } = usePreferences()
  const record = ref<TypedRecord>(structuredClone(toRaw(options.start())))
  const problems = ref<FieldProblem[]>([])
  const theirs = ref<TypedRecord | null>(null)
  const runs = ref<RunRef[]>([])
  const saving = ref(false)
  const problemAt = (path: string) => problems.value.find((problem) => problem.path === path)?.text

  async function save() {
    saving.value = true
    const sent = await sendTo<T>(options.url(record.value.id), 'PUT', {
      ...record.value,
      units: units.value,
      ...options.extra?.(),
    })
    saving.value = false
    problems.value = sent.ok ? [] : sent.problems
    theirs.value = sent.ok ? null : (sent.theirs ?? null)
    if (!sent.ok) return
    // Whatever shows this record, or lists it, reads it anew: the page gone to may share its data with this one.
    await refreshNuxtData()
    await options.saved(sent.value)
  }

  async function remove(gone: () => unknown) {
    const sent = await sendTo<null>(options.url(record.value.id), 'DELETE')
    problems.value = sent.ok ? [] : sent.problems
    runs.value = sent.ok ? [] : (sent.runs ?? [])
    if (sent.ok) await gone()
  }

  /** Mine over theirs: both were seen. */
  async function keepMine() {
    record.value.revision = theirs.value!.revision
    await save()
  }
  /** Theirs, as if it had been opened now. */
  function takeTheirs() {
    record.value = structuredClone(toRaw(theirs.value!))
    theirs.value = null
    problems.value = []
  }
  const restart = () => {
    record.value = structuredClone(toRaw(options.start()))
    problems.value = []
  }
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
