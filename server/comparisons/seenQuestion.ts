/** What was seen, counted on the anchored scales; and flames by set-up and wind. */
import { OBSERVATIONS, stepWords, type ObservationScale } from '../../shared/observation'
import type { SeenAnswer } from '../../shared/answers'
import type { Connection } from '../database/connection'
import { byKey } from '../database/byKey'
import { idsIn, type AskedQuery } from './askedView'
import { seenRows, type SeenRow } from './repository/seen'

/** What a pot and a place look like after a burn. A flame is no cleanliness. */
const CLEAN: readonly ObservationScale[] = ['soot', 'residue', 'wiping', 'smell', 'smoke', 'noise']

export async function seenQuestion(db: Connection, query: AskedQuery): Promise<SeenAnswer | string> {
  const asked = new Set(idsIn(query.setups))
  const rows = (await seenRows(db)).filter(({ setupId }) => asked.size === 0 || asked.has(setupId))
  if (rows.length === 0)
    return 'Nothing was seen of these yet. Say what the pot and the flame look like on a run’s page.'
  const bySetup = [...byKey(rows, ({ setupId }) => setupId).values()].sort((a, b) =>
    a[0]!.setup.localeCompare(b[0]!.setup, 'en'),
  )
  const scales = CLEAN.filter((scale) => rows.some((one) => one.scale === scale))
  return {
    scales: scales.map((scale) => ({
      scale,
      label: OBSERVATIONS[scale].label,
      steps: Object.keys(OBSERVATIONS[scale].steps),
    })),
    rows: bySetup.filter((own) => own.some(({ scale }) => scale !== 'flame')).map(countedRow),
    flames: bySetup.filter((own) => own.some(({ scale }) => scale === 'flame')).map(flameRow),
  }
}

function countedRow(own: readonly SeenRow[]): SeenAnswer['rows'][number] {
  const counts: Record<string, Record<string, number>> = {}
  for (const { scale, step } of own) {
    const of = (counts[scale] ??= {})
    of[step] = (of[step] ?? 0) + 1
  }
  return { name: own[0]!.setup, setupId: own[0]!.setupId, counts }
}

/** Winds nearer than this are one [m/s]. */
const ALIKE_MS = 0.5

/** From calm to the hardest wind; one cell a pattern in a wind. */
function flameRow(own: readonly SeenRow[]): SeenAnswer['flames'][number] {
  const flames = own.filter(({ scale }) => scale === 'flame')
  const rounded = (windMS: number | null) => (windMS === null ? null : Math.round(windMS / ALIKE_MS) * ALIKE_MS)
  const alike = byKey(flames, ({ windMS, step }) => `${rounded(windMS)} ${step}`)
  return {
    setupId: own[0]!.setupId,
    name: own[0]!.setup,
    cells: [...alike.values()]
      .map((of) => ({
        windMS: rounded(of[0]!.windMS),
        step: of[0]!.step,
        words: stepWords('flame', of[0]!.step),
        n: of.length,
        runId: of[0]!.runId,
        photoId: of.find(({ photoId }) => photoId !== null)?.photoId ?? null,
      }))
      .sort((a, b) => (a.windMS ?? -1) - (b.windMS ?? -1)),
  }
}
