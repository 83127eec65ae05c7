/** What the demonstration is about to burn: a pair that is asked again, and a wind series on two stations. */
import { shippedId } from '../methods/methods'
import type { TypedStudy } from '../../shared/plan'
import type { Connection } from '../database/connection'
import { saveStudy } from '../plans/saveStudy'
import type { DemoKit } from './loadKit'

const DAY_MS = 86_400_000
const dayAfter = (nowMs: number, days: number): string => new Date(nowMs + days * DAY_MS).toISOString().slice(0, 10)

export async function loadStudies(tx: Connection, kit: DemoKit, nowMs: number): Promise<void> {
  for (const study of [finnedOrNot(kit, nowMs), coneInWind(kit, nowMs)]) {
    const outcome = await saveStudy(tx, study)
    if (outcome.status !== 'saved') throw new Error(`Study ${study.id}: ${outcome.problems[0]!.text}`)
  }
}

function finnedOrNot({ setups, fuels, places, people }: DemoKit, nowMs: number): TypedStudy {
  const [odra] = Object.values(people)
  return {
    id: '01980000-0000-7000-8000-000000000001',
    revision: 0,
    personId: odra!,
    setupIds: [setups.wideSheltered!, setups.finned!],
    held: {
      methodId: shippedId('paired'),
      fuelBatchId: fuels.gas!,
      placeId: places.store!,
      waterKg: 0.473,
      startC: 15,
      setting: 'full',
    },
    levels: [],
    difference: 0.15,
    replicates: 4,
    days: {
      days: [{ day: dayAfter(nowMs, 2), from: '08:00', to: '12:00' }],
      people: [{ id: odra!, flames: 1 }],
      peopleBy: 'block',
      stations: ['lee of the store'],
      stationsBy: 'block',
      containerIds: [],
      cooledInWater: true,
    },
  }
}

function coneInWind({ setups, fuels, places, people }: DemoKit, nowMs: number): TypedStudy {
  const both = Object.values(people)
  return {
    id: '01980000-0000-7000-8000-000000000002',
    revision: 0,
    personId: both[0]!,
    setupIds: [setups.narrowOpen!, setups.wideSheltered!],
    held: {
      methodId: shippedId('wind'),
      fuelBatchId: fuels.gas!,
      placeId: places.hut!,
      waterKg: 0.473,
      startC: 15,
      setting: 'full',
    },
    levels: [0, 1.8, 3.6].map((windMS) => ({ id: String(windMS), of: 'wind', windMS })),
    difference: 0.2,
    replicates: 4,
    days: {
      days: [3, 4].map((days) => ({ day: dayAfter(nowMs, days), from: '08:30', to: '13:00' })),
      people: both.map((id) => ({ id, flames: 1 })),
      peopleBy: 'block',
      stations: ['north fan', 'south fan'],
      stationsBy: 'turn',
      containerIds: [],
      cooledInWater: true,
    },
  }
}
