/** The demonstration's typed runs, as the two testers would have typed them. Invented. */
import type { MeasuredQuantity } from '../../shared/measuredQuantity'
import type { TypedEventKind } from '../../shared/typedRun'
import type { FUELS, PEOPLE, PLACES, SETUPS } from './kit'

export interface DemoRun {
  /** Fixed, so that loading again is known. */
  id: string
  at: string
  who: (typeof PEOPLE)[number]
  place: keyof typeof PLACES
  setup: keyof typeof SETUPS
  fuel: keyof typeof FUELS
  measured: Partial<Record<MeasuredQuantity, string>>
  times: Partial<Record<TypedEventKind, string>>
  stoppedReason?: string
  notes: string
}

const id = (n: number) => `01960000-0000-7000-8000-0000000000${String(n).padStart(2, '0')}`

export const DEMO_RUNS: DemoRun[] = [
  {
    id: id(1), at: '2026-04-02T09:10:00Z', who: 'Odra Vell', place: 'store', setup: 'narrowOpen', fuel: 'gas', notes: 'First of the season. Full flame, steady.',
    measured: { air: '19 °C', wind: 'calm', water: '473 g', waterStart: '17.1 °C', fuelBefore: '312.4 g', fuelAfter: '304.9 g', scaleResolution: '0.1 g' }, times: { potOn: '0:00', rollingBoil: '2:31', shutOff: '2:32' },
  },
  {
    id: id(2), at: '2026-04-09T10:25:00Z', who: 'Tamsin Quay', place: 'rim', setup: 'narrowOpen', fuel: 'gas', notes: 'Behind the wall at the rim, no wind to speak of. Pressure from the observatory’s barometer.',
    measured: { air: '3 °C', wind: 'calm', stationPressure: '782.6 hPa', water: '473 g', waterStart: '5.8 °C', fuelBefore: '304.9 g', fuelAfter: '297.3 g', scaleResolution: '0.1 g' }, times: { potOn: '0:00', rollingBoil: '2:36' },
  },
  {
    id: id(3), at: '2026-04-11T08:40:00Z', who: 'Odra Vell', place: 'hut', setup: 'wideSheltered', fuel: 'gas', notes: '',
    measured: { air: '11 °C', wind: 'calm', water: '16 fl oz', waterStart: '9 °C', fuelBefore: '241.0 g', fuelAfter: '233.9 g', scaleResolution: '0.1 g' }, times: { lit: '0:00', potOn: '0:06', rollingBoil: '2:38', shutOff: '2:39' },
  },
  {
    id: id(4), at: '2026-04-11T09:30:00Z', who: 'Odra Vell', place: 'hut', setup: 'finned', fuel: 'gas', notes: 'Same burner, pot identical to the plain one but for its fins.',
    measured: { air: '11 °C', wind: 'calm', water: '16 fl oz', waterStart: '9.4 °C', fuelBefore: '233.9 g', fuelAfter: '228.3 g', scaleResolution: '0.1 g' }, times: { lit: '0:00', potOn: '0:05', rollingBoil: '2:21', shutOff: '2:22' },
  },
  {
    id: id(5), at: '2026-04-14T14:00:00Z', who: 'Tamsin Quay', place: 'store', setup: 'spiritCone', fuel: 'methanol', notes: 'Bloomed after three quarters of a minute. Flame invisible in the doorway light.',
    measured: { air: '61F', wind: 'calm', water: '2 cups', waterStart: '56F', fuelUsed: '21 g', scaleResolution: '0.1 g' }, times: { lit: '0:00', bloomed: '0:45', potOn: '0:48', rollingBoil: '9:38' },
  },
  {
    id: id(6), at: '2026-04-14T15:20:00Z', who: 'Tamsin Quay', place: 'hut', setup: 'tablet', fuel: 'hexamine', notes: 'One tablet and the start of a second.',
    measured: { air: '11 °C', wind: 'calm', water: '400 mL', waterStart: '12 °C', fuelUsed: '15.8 g', scaleResolution: '0.1 g' }, times: { potOn: '0:00', firstBubbles: '9:40', rollingBoil: '11:25' },
  },
  {
    id: id(7), at: '2026-04-20T11:15:00Z', who: 'Odra Vell', place: 'store', setup: 'narrowOpen', fuel: 'gas', notes: 'Porch, fan on the second step: 1.8 m/s at the pot.',
    measured: { air: '15 °C', wind: '1.8 m/s', water: '473 g', waterStart: '14 °C', fuelBefore: '297.3 g', fuelAfter: '285.6 g', scaleResolution: '0.1 g' }, times: { potOn: '0:00', rollingBoil: '4:08' },
  },
  {
    id: id(8), at: '2026-04-21T07:50:00Z', who: 'Tamsin Quay', place: 'rim', setup: 'finned', fuel: 'gas', notes: 'Kitchen scale, one gram. The figure cannot be right; kept as written.',
    measured: { air: '4 °C', wind: 'calm', water: '750 mL', waterStart: '6 °C', fuelBefore: '230 g', fuelAfter: '225 g', scaleResolution: '1 g' }, times: { potOn: '0:00', rollingBoil: '3:20' },
  },
  {
    id: id(9), at: '2026-04-23T16:05:00Z', who: 'Odra Vell', place: 'rim', setup: 'wideSheltered', fuel: 'gas', notes: '', stoppedReason: 'rain',
    measured: { air: '2 °C', wind: 'calm', water: '473 g', waterStart: '5 °C', waterLast: '71 °C', fuelBefore: '285.6 g', fuelAfter: '280.4 g', scaleResolution: '0.1 g' }, times: { potOn: '0:00', stopped: '1:55' },
  },
]
