/** What a logger or an instrument can follow beside a flame: each with the unit it is stored in, and what it can be. */
import type { QuantityKindName } from '../core/quantity/kinds'

export interface Channel {
  name: string
  /** Which units it may come in. */
  quantity: QuantityKindName
  /** Stored in, by its id. */
  unit: string
  /** Shown in. */
  shownIn: string
  /** What a probe of it can say [SI]; beyond is a fault. */
  low: number
  high: number
  limit: string
  /** What its column's heading says. */
  says: RegExp
}

export const CHANNELS = {
  water: {
    name: 'Water',
    quantity: 'waterTemp',
    unit: 'degC',
    shownIn: 'degC',
    low: -20,
    high: 130,
    limit: 'water between −20 and 130 °C',
    says: /water|pot\b|probe|t1\b/,
  },
  air: {
    name: 'Air',
    quantity: 'airTemp',
    unit: 'degC',
    shownIn: 'degC',
    low: -60,
    high: 60,
    limit: 'air between −60 and 60 °C',
    says: /\bair|ambient|outside|t2\b/,
  },
  container: {
    name: 'Container',
    quantity: 'airTemp',
    unit: 'degC',
    shownIn: 'degC',
    low: -60,
    high: 90,
    limit: 'a container between −60 and 90 °C',
    says: /canister|container|bottle|cylinder|t3\b/,
  },
  wind: {
    name: 'Wind',
    quantity: 'windSpeed',
    unit: 'mps',
    shownIn: 'mps',
    low: 0,
    high: 60,
    limit: 'wind between 0 and 60 m/s',
    says: /wind|gust/,
  },
  scale: {
    name: 'Scale',
    quantity: 'weighing',
    unit: 'kg',
    shownIn: 'g',
    low: -0.1,
    high: 30,
    limit: 'a scale between −0.1 and 30 kg',
    says: /scale|mass|weight|balance/,
  },
  pressure: {
    name: 'Pressure',
    quantity: 'pressure',
    unit: 'Pa',
    shownIn: 'hPa',
    low: 25_000,
    high: 110_000,
    limit: 'pressure between 250 and 1 100 hPa',
    says: /press|baro|hpa|mbar/,
  },
} as const satisfies Record<string, Channel>

export type ChannelName = keyof typeof CHANNELS
export const CHANNEL_NAMES = Object.keys(CHANNELS) as ChannelName[]
export const isChannel = (text: string): text is ChannelName => Object.hasOwn(CHANNELS, text)
