/** A study is planned from the demonstration's kit: predicted from its runs, drawn, moved, made larger, taken along. */
import { v7 as uuidv7 } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { StudyPage, TypedStudy } from '../../shared/plan'
import { momentAt, plannedDays } from '../../shared/plannedDays'
import { loadDemonstration } from '../../server/demo/load'
import { kitChoices } from '../../server/kit/kitChoices'
import type { Outcome } from '../../server/kit/outcome'
import { deleteSetup } from '../../server/kit/saveSetup'
import { giveUpStudy } from '../../server/plans/giveUp'
import { reorder, reshuffle } from '../../server/plans/orderStudy'
import { saveStudy } from '../../server/plans/saveStudy'
import { listStudies, studyPage } from '../../server/plans/studyPage'
import { makeTestDatabase, type TestDatabase } from './database'

const NOW = Date.parse('2026-11-01T12:00:00Z')
let bench: TestDatabase
let typed: TypedStudy

beforeAll(async () => {
  bench = await makeTestDatabase('plans_test')
  await loadDemonstration(bench.db, () => undefined, NOW)
  typed = await finnedOrNot()
}, 120_000)
afterAll(() => bench.drop())

/** Fins on one burner: the pair that the demonstration has burned before. */
async function finnedOrNot(): Promise<TypedStudy> {
  const kit = await kitChoices(bench.db, NOW)
  const setupOf = (setup: string) => kit.setups.find(({ name }) => name === setup)!.id
  return {
    id: uuidv7(),
    revision: 0,
    personId: kit.people[0]!.id,
    setupIds: [setupOf('Solfatara with wide pot'), setupOf('Solfatara with finned pot')],
    held: {
      methodId: kit.methods.find(({ name }) => name === 'Paired comparison')!.id,
      fuelBatchId: kit.fuels.find(({ kind }) => kind === 'isobutane-propane')!.id,
      placeId: kit.places.find(({ name }) => name === 'Harbour store')!.id,
      waterKg: 0.472,
      startC: 15,
      setting: 'full',
    },
    levels: [],
    difference: 0.15,
    replicates: 4,
    days: {
      days: [{ day: '2026-12-05', from: '08:00', to: '12:00' }],
      people: [{ id: kit.people[0]!.id, flames: 1 }],
      peopleBy: 'block',
      stations: ['lee of the store'],
      stationsBy: 'block',
      containerIds: [],
      cooledInWater: true,
    },
  }
}

function pageOf(outcome: Outcome<StudyPage>): StudyPage {
  if (outcome.status !== 'saved') throw new Error(JSON.stringify(outcome.problems))
  return outcome.value
}
const save = async (change: Partial<TypedStudy> = {}) => saveStudy(bench.db, { ...typed, ...change })
const again = async () => (await studyPage(bench.db, typed.id))!

describe('a study', () => {
  it('asks its sentence, takes turns, and knows from its set-ups’ runs how long they take and how they scatter', async () => {
    const page = pageOf(await save())
    expect(page.sentence).toBe('Does Spatter 1000 F save 15\u202f% or more on Solfatara?')
    expect(page.kind).toBe('paired')
    const letters = page.runs.map(({ armId }) => page.arms.find(({ id }) => id === armId)!.letter).join('')
    expect(letters).toMatch(/^(ABBAABBA|BAABBAAB)$/)
    expect(page.lengths.every(({ from, burnS }) => from === 'own' && burnS > 60 && burnS < 900)).toBe(true)
    expect(page.scatter.from).not.toBe('usual')
    expect(page.curve.map(({ shows }) => shows)).toEqual(
      [...page.curve.map(({ shows }) => shows)].sort((a, b) => b - a),
    )
    expect(page.differs).toEqual([])
    expect((await listStudies(bench.db)).find(({ id }) => id === typed.id)).toMatchObject({
      runs: 8,
      burned: 0,
      firstDay: '2026-12-05',
    })
    // The same sent again, by a page that heard no answer, is one study.
    expect((await save()).status).toBe('conflict')
  })

  it('has its day: in order, one after the other, over by noon or some are left by name', async () => {
    const page = await again()
    const { days, left } = plannedDays(page)
    const [day] = days
    expect(day!.fromMs).toBe(momentAt('2026-12-05', '08:00', page.held.zone))
    expect(day!.runs.length + left.length).toBe(8)
    expect(day!.runs.map(({ id }) => id)).toEqual(page.runs.slice(0, day!.runs.length).map(({ id }) => id))
    expect(day!.finish!.nineInTenMs).toBeGreaterThan(day!.runs.at(-1)!.lightMs)
    const short = { ...page, days: { ...page.days, days: [{ day: '2026-12-05', from: '08:00', to: '08:40' }] } }
    expect(plannedDays(short).left.every(({ why }) => why === 'pastEnd')).toBe(true)
  })

  it('is reshuffled on record, and moved by hand as far as its design allows', async () => {
    const before = await again()
    const shuffled = pageOf(await reshuffle(bench.db, typed.id, { revision: before.revision }))
    expect([shuffled.seed, shuffled.revision]).toEqual([before.seed + 1, before.revision + 1])
    expect(shuffled.changes.at(-1)!.what).toContain('Reshuffled')
    const ids = shuffled.runs.map(({ id }) => id)
    const turned = [ids[1], ids[0], ...ids.slice(2)]
    const moved = pageOf(await reorder(bench.db, typed.id, { revision: shuffled.revision, order: turned }))
    expect(moved.runs.map(({ id }) => id)).toEqual(turned)
    const torn = [ids[0], ids[2], ids[1], ...ids.slice(3)]
    const refused = await reorder(bench.db, typed.id, { revision: moved.revision, order: torn })
    expect(refused.status === 'invalid' && refused.problems[0]!.text).toContain('A block is one run of each arm')
    expect((await reorder(bench.db, typed.id, { revision: 1, order: ids })).status).toBe('conflict')
  })

  it('is made larger; stations that each arm keeps are told, and rotated with one change', async () => {
    const { revision } = await again()
    const fixed = { ...typed.days, stations: ['lee', 'door'], stationsBy: 'arm' as const }
    const page = pageOf(await save({ revision, replicates: 6, days: fixed }))
    expect(page.runs).toHaveLength(12)
    expect(page.changes.at(-1)!.what).toBe('4 runs of each became 6.')
    expect(page.differs).toMatchObject([{ what: 'station', remedy: 'rotateStations' }])
    const turned = pageOf(
      await save({ revision: page.revision, replicates: 6, days: { ...fixed, stationsBy: 'turn' } }),
    )
    expect(turned.differs).toEqual([])
  })

  it('in wind its fan steps are longer, and capped by the give-up time', async () => {
    const levels = [0, 1.8, 3.6].map((windMS) => ({ id: String(windMS), of: 'wind' as const, windMS }))
    const page = pageOf(await save({ id: uuidv7(), levels }))
    expect(page.sentence).toContain('in calm and 2 fan steps')
    const [calm, breeze, wind] = levels.map(({ id }) => page.lengths.find(({ levelId }) => levelId === id)!.burnS)
    expect(calm).toBeLessThan(breeze!)
    expect(breeze).toBeLessThanOrEqual(wind!)
  })

  it('what cannot be planned is refused in words, and nothing is kept of it', async () => {
    const id = uuidv7()
    const bad: [Partial<TypedStudy>, string][] = [
      [{ setupIds: [] }, 'Choose what is compared.'],
      [{ setupIds: [typed.setupIds[0]!, typed.setupIds[0]!] }, 'A and B are one set-up.'],
      [{ setupIds: [typed.setupIds[0]!, uuidv7()] }, 'is gone'],
      [{ held: { ...typed.held, fuelBatchId: uuidv7() } }, 'Fuel: this one is gone'],
      [{ days: { ...typed.days, people: [{ id: uuidv7(), flames: 1 }] } }, 'one of them is gone'],
      [{ replicates: 0 }, 'Runs of each'],
      [{ days: { ...typed.days, people: [] } }, 'who burns'],
      [{ days: { ...typed.days, days: [{ day: '2026-12-05', from: '12:00', to: '08:00' }] } }, 'Back by'],
      [{ days: { ...typed.days, stations: ['lee', 'lee'] } }, 'two have one name'],
      [
        { replicates: 60, levels: [0, 1, 2, 3].map((windMS) => ({ id: String(windMS), of: 'wind', windMS })) },
        'no test day holds',
      ],
    ]
    for (const [change, words] of bad) {
      const outcome = await save({ id, ...change })
      expect(outcome.status === 'invalid' && outcome.problems[0]!.text, JSON.stringify(change)).toContain(words)
    }
    expect(await studyPage(bench.db, id)).toBeNull()
  })

  it('kit that is planned for is not deleted under it', async () => {
    const outcome = await deleteSetup(bench.db, typed.setupIds[1]!)
    expect(outcome.status).toBe('inUse')
  })

  it('given up before anything burned, it is gone, and its kit is free again', async () => {
    for (const { id } of await listStudies(bench.db)) expect((await giveUpStudy(bench.db, id)).status).toBe('saved')
    expect(await listStudies(bench.db)).toEqual([])
    expect((await giveUpStudy(bench.db, typed.id)).status).toBe('notFound')
  })

  it('a clock that is put back within the day shifts no run: eight is eight at the place', () => {
    // Europe/Lisbon leaves summer time on 25 October 2026 at 2:00 (IANA time zone database).
    const midnight = momentAt('2026-10-25', '00:00', 'Europe/Lisbon')
    expect(momentAt('2026-10-25', '08:00', 'Europe/Lisbon') - midnight).toBe(9 * 3_600_000)
  })
})
