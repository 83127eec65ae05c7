/** The demonstration's typed runs, as the two testers would have typed them. Invented. */
import type { Setting } from '../../core/formats/document'
import type { TestName } from '../../core/method/method'
import type { MeasuredQuantity } from '../../shared/measuredQuantity'
import type { TypedEventKind, TypedLine } from '../../shared/typedRun'
import type { FuelKey, PEOPLE, PLACES, SetupKey } from './kit'

export interface DemoRun {
  /** Fixed, so that loading again is known. */
  id: string
  at: string
  who: (typeof PEOPLE)[number]
  place: keyof typeof PLACES
  setup: SetupKey
  fuel: FuelKey
  test?: TestName
  measured: Partial<Record<MeasuredQuantity, string>>
  times: Partial<Record<TypedEventKind, string>>
  lines?: TypedLine[]
  setting?: Setting
  breakIn?: boolean
  stoppedReason?: string
  takeBurnShare?: boolean
  trace?: [number, number][]
  /** Burned from the store's canisters: so many grams, weighed with the burner on before and after. */
  fromCanisterG?: number
  /** Void, with the reason. */
  voided?: string
  /** What was seen: scale and step. */
  seen?: Record<string, string>
  notes: string
}

const id = (n: number) => `01960000-0000-7000-8000-0000000000${String(n).padStart(2, '0')}`

/** What the simulated campaign does not show: typed by hand, each with a lesson. */
export const TYPED_RUNS: DemoRun[] = [
  {
    id: id(1),
    at: '2026-04-14T14:00:00Z',
    who: 'Tamsin Quay',
    place: 'store',
    setup: 'spiritCone',
    fuel: 'methanol',
    notes: 'Bloomed after three quarters of a minute. Flame invisible in the doorway light.',
    measured: {
      air: '61F',
      wind: 'calm',
      water: '2 cups',
      waterStart: '56F',
      fuelUsed: '16.6 g',
      scaleResolution: '0.1 g',
    },
    times: { lit: '0:00', bloomed: '0:45', potOn: '0:48', rollingBoil: '7:22' },
  },
  {
    id: id(2),
    at: '2026-04-21T07:50:00Z',
    who: 'Tamsin Quay',
    place: 'rim',
    setup: 'finned',
    fuel: 'gas',
    notes: 'Kitchen scale, one gram. The figure cannot be right; kept as written.',
    measured: {
      air: '4 °C',
      wind: 'calm',
      water: '750 mL',
      waterStart: '6 °C',
      fuelBefore: '230 g',
      fuelAfter: '225 g',
      scaleResolution: '1 g',
    },
    times: { potOn: '0:00', rollingBoil: '5:20' },
  },
  {
    id: id(3),
    at: '2026-04-23T16:05:00Z',
    who: 'Odra Vell',
    place: 'rim',
    setup: 'wideSheltered',
    fuel: 'gas',
    notes: '',
    stoppedReason: 'rain',
    measured: {
      air: '2 °C',
      wind: 'calm',
      water: '473 g',
      waterStart: '5 °C',
      waterLast: '66 °C',
      fuelBefore: '285.6 g',
      fuelAfter: '278.5 g',
      scaleResolution: '0.1 g',
    },
    times: { potOn: '0:00', stopped: '2:35' },
  },
  {
    id: id(4),
    at: '2026-04-24T09:20:00Z',
    who: 'Odra Vell',
    place: 'hut',
    setup: 'wideSheltered',
    fuel: 'gas',
    notes: 'Breezy at the hut door. Nobody had the anemometer.',
    measured: {
      air: '12 °C',
      water: '473 g',
      waterStart: '10 °C',
      fuelBefore: '278.5 g',
      fuelAfter: '266.9 g',
      scaleResolution: '0.1 g',
    },
    times: { potOn: '0:00', rollingBoil: '4:11' },
  },
  {
    id: id(5),
    at: '2026-04-24T10:10:00Z',
    who: 'Odra Vell',
    place: 'hut',
    setup: 'finned',
    fuel: 'gas',
    notes: 'Left on after the boil to keep it simmering; fuel to the boil by its share of the burn.',
    measured: {
      air: '12 °C',
      wind: 'calm',
      water: '16 fl oz',
      waterStart: '9.5 °C',
      fuelBefore: '266.9 g',
      fuelAfter: '255.1 g',
      scaleResolution: '0.1 g',
    },
    times: { potOn: '0:00', firstBubbles: '2:40', rollingBoil: '3:26', shutOff: '5:02' },
    takeBurnShare: true,
  },
  {
    id: id(6),
    at: '2026-03-06T10:40:00Z',
    who: 'Tamsin Quay',
    place: 'saddle',
    setup: 'tabletBig',
    fuel: 'hexamine',
    notes: 'A litre under the big pot, no screen, wind over the saddle. It only got lukewarm.',
    measured: {
      air: '−12 °C',
      wind: '4 m/s',
      water: '1 L',
      waterStart: '4 °C',
      waterLast: '21 °C',
      fuelUsed: '24.2 g',
      scaleResolution: '0.1 g',
    },
    times: { potOn: '0:00', gaveUp: '20:00' },
  },
]
