import type { ReadingInstrument } from '#shared/typedRun'

export const INSTRUMENT_NAMES: Record<ReadingInstrument, string> = {
  temperature: 'Thermometer',
  mass: 'Scale',
  wind: 'Wind meter',
  pressure: 'Barometer',
  humidity: 'Humidity meter',
}
