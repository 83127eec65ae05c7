/**
 * The demonstration's campaign: simulated stoves, read by a simulated probe and typed by the two testers. Seeded: the
 * same each time.
 */
import { formatClock } from '../../core/quantity/format'
import { CAMPAIGN_SETUPS, type CampaignCondition, type CampaignSetup } from '../../core/simulate/campaign'
import { campaignRun } from '../../core/simulate/campaignRun'
import { seededRandom, type Random } from '../../core/simulate/random'
import { PEOPLE, type PLACES, type SETUPS } from './kit'
import type { DemoRun } from './runs'

const SEED = 20260101

/** Each simulated set-up is one of the kit's, with its fuel and how it is weighed. */
const KIT: Record<CampaignSetup, { setup: keyof typeof SETUPS; fuel: DemoRun['fuel'] }> = {
  'narrow-open': { setup: 'narrowOpen', fuel: 'gas' },
  'wide-sheltered': { setup: 'wideSheltered', fuel: 'gas' },
  finned: { setup: 'finned', fuel: 'gas' },
  'spirit-cone': { setup: 'spiritCone', fuel: 'methanol' },
  tablet: { setup: 'tablet', fuel: 'hexamine' },
}

/** The days of the campaign: where, and how often each set-up is burned there. */
const DAYS: { at: CampaignCondition; place: keyof typeof PLACES; day: string; repeats: number }[] = [
  { at: 'store', place: 'store', day: '2026-02-10', repeats: 2 },
  { at: 'hut', place: 'hut', day: '2026-02-18', repeats: 2 },
  { at: 'rim', place: 'rim', day: '2026-03-03', repeats: 1 },
  { at: 'saddle', place: 'saddle', day: '2026-03-05', repeats: 1 },
  { at: 'porch18', place: 'store', day: '2026-03-12', repeats: 1 },
  { at: 'porch36', place: 'store', day: '2026-03-13', repeats: 1 },
]

export function campaignRuns(): DemoRun[] {
  const random = seededRandom(SEED)
  const runs: DemoRun[] = []
  for (const { at, place, day, repeats } of DAYS) {
    let minutes = 8 * 60 + 15
    for (let repeat = 0; repeat < repeats; repeat++) {
      for (const name of Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]) {
        runs.push(
          oneRun({ name, at, place, startedAt: moment(day, minutes), first: repeat === 0, n: runs.length + 1 }, random),
        )
        // The hardware cools back to the air between burns.
        minutes += 32
      }
    }
  }
  return runs
}

const moment = (day: string, minutes: number) =>
  `${day}T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00Z`

interface Plan {
  name: CampaignSetup
  at: CampaignCondition
  place: keyof typeof PLACES
  startedAt: string
  first: boolean
  n: number
}

function oneRun({ name, at, place, startedAt, first, n }: Plan, random: Random): DemoRun {
  const burned = campaignRun(name, at, random, first)
  const { setup, fuel } = KIT[name]
  const isGas = fuel === 'gas'
  return {
    id: `01950000-0000-7000-8000-0000000001${String(n).padStart(2, '0')}`,
    at: startedAt,
    who: PEOPLE[n % PEOPLE.length]!,
    place,
    setup,
    fuel,
    notes: notesOf(burned),
    measured: { ...measuredOf(burned, at), ...(isGas ? {} : fuelOf(burned)) },
    times: timesOf(burned, at),
    trace: burned.trace ?? undefined,
    test: burned.windMS > 0 ? 'wind' : at === 'saddle' ? 'cold' : 'boil',
    fromCanisterG: isGas ? burned.usedG : undefined,
  }
}

type Burned = ReturnType<typeof campaignRun>

function notesOf({ callS, windMS }: Burned): string {
  if (callS === null) return 'Given up after twenty minutes.'
  return windMS > 0 ? 'Porch, fan on. Wind read at the pot.' : ''
}

const fuelOf = ({ usedG }: Burned) => ({ fuelUsed: `${usedG.toFixed(1)} g`, scaleResolution: '0.1 g' })

const measuredOf = ({ startC, airC, windMS, waterG, callS, endC }: Burned, at: CampaignCondition) => ({
  ...(at === 'saddle' ? { hardware: `${airC} °C` } : {}),
  air: `${airC} °C`,
  wind: windMS === 0 ? 'calm' : `${windMS} m/s`,
  water: `${waterG} g`,
  waterStart: `${startC} °C`,
  ...(callS === null ? { waterLast: `${endC} °C` } : {}),
})

function timesOf({ callS, endS }: Burned, at: CampaignCondition): DemoRun['times'] {
  if (callS === null) return { potOn: '0:00', gaveUp: formatClock(endS) }
  const boiled = { potOn: '0:00', rollingBoil: formatClock(callS) }
  return at === 'saddle' ? { lit: '0:00', bloomed: '0:04', ...boiled } : boiled
}
