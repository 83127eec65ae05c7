/** Where a question of the list is asked. */
import type { FoundQuestion } from '#core/compare/found'

const LINE_KINDS: Partial<Record<FoundQuestion['kind'], string>> = {
  flame: 'flameLine',
  wind: 'wind',
  volumes: 'volume',
}

export function pageOfQuestion({ kind, asks }: Pick<FoundQuestion, 'kind' | 'asks'>) {
  const line = LINE_KINDS[kind]
  if (line !== undefined)
    return { path: '/compare/lines', query: { kind: line, setups: asks.setup ?? '', fuel: asks.fuel ?? '' } }
  if (kind === 'ranking') return { path: '/compare/ranking', query: asks }
  if (kind === 'claim') return { path: '/compare/claims', hash: `#claim-${asks.claim ?? ''}` }
  // What changed between two testers is asked of one set-up.
  return asks.a === undefined ? { path: '/compare/people', query: asks } : { path: '/compare/two', query: asks }
}
