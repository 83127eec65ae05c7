/** The one way to have the server do something: what it answers, or in words why it did not. */
import { FetchError } from 'ofetch'
import type { FieldProblem } from '#shared/readProblems'
import type { Refusal } from '#shared/record'

export type Sent<T> = { ok: true; value: T } | ({ ok: false } & Refusal)
interface Asking {
  method: 'PUT' | 'POST' | 'DELETE'
  body?: object
  /** What a file that is sent is. */
  type?: string
  /** What is said where no server answers. */
  away?: string
}
const AWAY = 'The server did not answer. Nothing was saved; what you typed stays here. Send it again when it is back.'

/** Sends something; what goes wrong comes back in words, with the other's version or the runs in the way. */
export async function ask<T>(url: string, { method, body, type, away = AWAY }: Asking): Promise<Sent<T>> {
  try {
    const headers = type === undefined ? undefined : { 'content-type': type }
    return { ok: true, value: (await $fetch<unknown>(url, { method, body, headers })) as T }
  } catch (error) {
    const refusal = error instanceof FetchError ? (error.data as Refusal | undefined) : undefined
    const problems: FieldProblem[] = refusal?.problems ?? [{ path: '', text: away }]
    return { ok: false, problems, theirs: refusal?.theirs, runs: refusal?.runs }
  }
}

/** The same of a service that answers with a `value`. */
export async function send<T>(url: string, method: Asking['method'], body?: object): Promise<Sent<T>> {
  const sent = await ask<{ value: T }>(url, { method, body })
  return sent.ok ? { ok: true, value: sent.value.value } : sent
}

/** The first thing that went wrong; '': nothing did. */
export const problemOf = (sent: Sent<unknown>): string => (sent.ok ? '' : sent.problems[0]!.text)
