/** Writes down what is burned for the demonstration. */
import { formatClock } from '../../core/quantity/format'
import type { Setting } from '../../core/formats/document'
import type { TestName } from '../../core/method/method'
import { seededRandom } from '../../core/simulate/random'
import { burnOnce, tenth, type Burned, type Wanted } from './burning'
import { PEOPLE, type FuelKey, type PLACES, type SetupKey } from './kit'
import type { DemoRun } from './runs'
import { STOVES, type StoveKey } from './stoves'

const SEED = 20260404
type Place = keyof typeof PLACES

/** Writes the runs of one test day after another: half an hour a burn, for the hardware to cool. */
export class Notebook {
  readonly runs: DemoRun[] = []
  readonly random = seededRandom(SEED)
  private day = ''
  private minutes = 0
  private place: Place = 'store'

  on(day: string, place: Place): void {
    this.day = day
    this.place = place
    this.minutes = 8 * 60 + 30
  }

  burn(stove: StoveKey, more: Partial<Wanted> = {}): Burned {
    return burnOnce({ stove: STOVES[stove], place: this.place, random: this.random, ...more })
  }

  write(setup: SetupKey, fuel: FuelKey, run: Pick<DemoRun, 'measured' | 'times'> & Partial<DemoRun>): void {
    const n = this.runs.length + 1
    const at = `${this.day}T${String(Math.floor(this.minutes / 60)).padStart(2, '0')}:${String(this.minutes % 60).padStart(2, '0')}:00Z`
    this.runs.push({
      id: `01970000-0000-7000-8000-${String(200 + n).padStart(12, '0')}`,
      at,
      who: PEOPLE[n % 2]!,
      place: this.place,
      setup,
      fuel,
      notes: '',
      ...run,
    })
    this.minutes += 31
  }

  /** A plain boil from the canister or by weight, with what varies in it. */
  boil(
    setup: StoveKey,
    fuel: FuelKey,
    test: TestName,
    { notes = '', setting, extra = {}, who, seen, lateS = 0, ...wanted }: Boil = {},
  ): void {
    const burned = this.burn(setup, {
      ...wanted,
      onS: lateS,
      setting: setting === undefined ? 1 : { low: 0.4, medium: 0.7, full: 1 }[setting],
    })
    const { raw, usedG, trace } = burned
    this.write(setup, fuel, {
      test,
      notes,
      setting,
      trace,
      ...(who === undefined ? {} : { who }),
      ...(seen === undefined ? {} : { seen }),
      measured: {
        ...conditions(burned),
        ...extra,
        ...(fuel === 'gas' ? {} : weighed(usedG)),
        ...(raw.boilS === null ? { waterLast: `${tenth(raw.endC)} °C` } : {}),
      },
      times: boilTimes(burned, test, lateS),
      fromCanisterG: fuel === 'gas' ? usedG : undefined,
    })
  }
}

/** What varies in a plain boil. */
type Boil = Partial<Omit<Wanted, 'setting'>> &
  Pick<Partial<DemoRun>, 'who' | 'seen'> & {
    notes?: string
    setting?: Setting
    extra?: DemoRun['measured']
    /** Called, and put out, so much after the boil [s]. */
    lateS?: number
  }

function boilTimes({ raw, call }: Burned, test: TestName, lateS: number): DemoRun['times'] {
  if (raw.boilS === null) return { potOn: '0:00', gaveUp: formatClock(raw.endS) }
  return {
    ...(test === 'cold' ? { lit: '0:00', bloomed: '0:05' } : {}),
    potOn: '0:00',
    rollingBoil: formatClock(call(raw.boilS) + lateS),
  }
}

export const conditions = ({ airC, windMS, startC, waterG }: Burned): DemoRun['measured'] => ({
  air: `${airC} °C`,
  wind: windMS === 0 ? 'calm' : `${windMS} m/s`,
  water: `${waterG} g`,
  waterStart: `${startC} °C`,
})
export const weighed = (grams: number): DemoRun['measured'] => ({
  fuelUsed: `${grams.toFixed(1)} g`,
  scaleResolution: '0.1 g',
})
export const load = (grams: number): DemoRun['measured'] => ({
  fuelLoad: `${grams.toFixed(1)} g`,
  scaleResolution: '0.1 g',
})
