/** The demonstration's campaign: simulated stoves, read by a simulated probe and typed by the two testers. Seeded: the same each time. */
import { stationPressureFromAltitude } from '../../core/air/pressure'
import { formatClock } from '../../core/quantity/format'
import { CAMPAIGN_CONDITIONS, CAMPAIGN_SCATTER, CAMPAIGN_SETUPS, CAMPAIGN_WATER_KG, GIVE_UP_S, type CampaignSetup } from '../../core/simulate/campaign'
import { probeReadings } from '../../core/simulate/probe'
import { seededRandom, type Random } from '../../core/simulate/random'
import { simulateRun } from '../../core/simulate/stove'
import { PEOPLE, type PLACES, type SETUPS } from './kit'
import type { DemoRun } from './runs'

const SEED = 20260101
const PROBE = { lagS: 2, noiseK: CAMPAIGN_SCATTER.probeK, offsetK: 0, resolutionK: 0.1 }

/** Each simulated set-up is one of the kit's, with its fuel and how it is weighed. */
const KIT: Record<CampaignSetup, { setup: keyof typeof SETUPS, fuel: DemoRun['fuel'] }> = {
  'narrow-open': { setup: 'narrowOpen', fuel: 'gas' }, 'wide-sheltered': { setup: 'wideSheltered', fuel: 'gas' }, 'finned': { setup: 'finned', fuel: 'gas' },
  'spirit-cone': { setup: 'spiritCone', fuel: 'methanol' }, 'tablet': { setup: 'tablet', fuel: 'hexamine' },
}

/** The days of the campaign: where, and how often each set-up is burned there. */
const DAYS: { at: keyof typeof CAMPAIGN_CONDITIONS, place: keyof typeof PLACES, day: string, repeats: number }[] = [
  { at: 'store', place: 'store', day: '2026-02-10', repeats: 2 }, { at: 'hut', place: 'hut', day: '2026-02-18', repeats: 2 }, { at: 'rim', place: 'rim', day: '2026-03-03', repeats: 1 },
  { at: 'saddle', place: 'saddle', day: '2026-03-05', repeats: 1 }, { at: 'porch18', place: 'store', day: '2026-03-12', repeats: 1 }, { at: 'porch36', place: 'store', day: '2026-03-13', repeats: 1 },
]

export function campaignRuns(): DemoRun[] {
  const random = seededRandom(SEED)
  const runs: DemoRun[] = []
  for (const { at, place, day, repeats } of DAYS) {
    let minutes = 8 * 60 + 15
    for (let repeat = 0; repeat < repeats; repeat++) {
      for (const name of Object.keys(CAMPAIGN_SETUPS) as CampaignSetup[]) {
        runs.push(oneRun({ name, at, place, startedAt: moment(day, minutes), first: repeat === 0, n: runs.length + 1 }, random))
        // The hardware cools back to the air between burns.
        minutes += 32
      }
    }
  }
  return runs
}

const moment = (day: string, minutes: number) => `${day}T${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}:00Z`

interface Plan { name: CampaignSetup, at: keyof typeof CAMPAIGN_CONDITIONS, place: keyof typeof PLACES, startedAt: string, first: boolean, n: number }

function oneRun({ name, at, place, startedAt, first, n }: Plan, random: Random): DemoRun {
  const { normal } = random
  const stove = CAMPAIGN_SETUPS[name]
  const { altitudeM, airC, waterC, windMS } = CAMPAIGN_CONDITIONS[at]
  const S = CAMPAIGN_SCATTER
  const startC = Math.max(S.leastStartC, waterC + S.startK * normal())
  const air = airC + S.airK * normal()
  const wind = windMS === 0 ? 0 : Math.max(0.1, windMS + S.windMS * normal())
  const waterKg = CAMPAIGN_WATER_KG * (1 + S.water * normal())
  const burned = simulateRun(stove, {
    waterKg, startC, airC: air, pressurePa: stationPressureFromAltitude(altitudeM) * (1 + S.pressure * normal()), windMS: wind, setting: 1 + S.valve * normal(), lid: true,
  }, { giveUpS: GIVE_UP_S })
  const usedG = burned.fuelG * (1 + S.fuel * normal())
  const callS = burned.boilS === null ? null : Math.round(burned.boilS + S.callS * normal())
  const beforeG = 180 + Math.round(1800 * random.uniform()) / 10
  return {
    id: `01950000-0000-7000-8000-0000000001${String(n).padStart(2, '0')}`, at: startedAt, who: PEOPLE[n % PEOPLE.length]!, place, setup: KIT[name].setup, fuel: KIT[name].fuel,
    notes: burned.boilS === null ? 'Given up after twenty minutes.' : windMS > 0 ? 'Porch, fan on. Wind read at the pot.' : '',
    measured: {
      air: `${air.toFixed(1)} °C`, wind: wind === 0 ? 'calm' : `${wind.toFixed(1)} m/s`, water: `${Math.round(waterKg * 1000)} g`, waterStart: `${startC.toFixed(1)} °C`,
      fuelBefore: `${beforeG.toFixed(1)} g`, fuelAfter: `${(beforeG - usedG).toFixed(1)} g`, scaleResolution: '0.1 g', ...(callS === null ? { waterLast: `${burned.endC.toFixed(1)} °C` } : {}),
    },
    times: callS === null ? { potOn: '0:00', gaveUp: formatClock(burned.endS) } : { potOn: '0:00', rollingBoil: formatClock(callS) },
    trace: first ? probeReadings(burned.samples, PROBE, random) : undefined,
  }
}
