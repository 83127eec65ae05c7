/** A list of which the first lines come with the page, and the rest as one comes to them. */
import { ref, shallowRef } from 'vue'
import { describe, expect, it } from 'vitest'
import { useLaterLines } from '../../app/composables/useLaterLines'
import { readRunList, type RunList } from '../../shared/runList'

const page = (names: string, next: string | null): RunList =>
  ({ lines: [...names].map((id) => ({ id })), next, count: null }) as unknown as RunList
const listOf = (pages: Record<string, RunList | Error>) => {
  const first = shallowRef<RunList>()
  const read = (after: string) => {
    const answer = pages[after]!
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer)
  }
  return { first, later: useLaterLines({ first, query: ref(readRunList({})), read }) }
}
const ids = ({ lines }: ReturnType<typeof useLaterLines>) => lines.value.map(({ id }) => id).join('')

describe('later lines', () => {
  it('says what comes next as soon as the first lines are there: a server that draws the page watches nothing', () => {
    const { first, later } = listOf({})
    first.value = page('ab', 'b')
    // Before any watcher runs.
    expect(later.next.value).toBe('b')
  })

  it('adds one part after another up to the last, and asks for none beyond it', async () => {
    const { first, later } = listOf({ b: page('cd', 'd'), d: page('e', null) })
    first.value = page('ab', 'b')
    // Asked for twice at once, it is read once.
    await Promise.all([later.more(), later.more()])
    expect([ids(later), later.next.value]).toEqual(['cd', 'd'])
    await later.more()
    await later.more()
    expect([ids(later), later.next.value]).toEqual(['cde', null])
  })

  it('keeps what it has where the next cannot be read, and what another list made stale is none of its', async () => {
    const { first, later } = listOf({ b: new Error('no network'), y: page('z', null) })
    first.value = page('ab', 'b')
    await later.more()
    expect([later.failed.value, later.next.value]).toEqual([true, 'b'])
    first.value = page('xy', 'y')
    const asked = later.more()
    first.value = page('mn', 'n')
    await asked
    expect([ids(later), later.next.value, later.failed.value]).toEqual(['', 'n', false])
  })
})
