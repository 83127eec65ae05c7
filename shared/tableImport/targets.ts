/** What a column of somebody's table of runs can mean: one list for guessing, choosing and reading. */
import type { QuantityKindName } from '../../core/quantity/kinds'
import { MEASURED_NAMES, MEASURED_QUANTITIES, type MeasuredQuantity } from '../measuredQuantity'
import { TIME_NAMES, TYPED_EVENTS, type TypedEventKind } from '../typedRun'

/** Words that name something of the kit: matched by name, chosen or made. */
export const NAME_TARGETS = ['setup', 'place', 'fuel', 'person', 'method'] as const
export type NameTarget = (typeof NAME_TARGETS)[number]
type WordTarget =
  | NameTarget
  | 'id'
  | 'startedAt'
  | 'day'
  | 'time'
  | 'zone'
  | 'kind'
  | 'setting'
  | 'breakIn'
  | 'burnShare'
  | 'state'
  | 'batch'
  | 'tags'
  | 'notes'
  | 'stoppedReason'
export type TargetKey = WordTarget | `measured.${MeasuredQuantity}` | `times.${TypedEventKind}`

export interface Target {
  key: TargetKey
  name: string
  /** Of a quantity or a time. */
  quantity: QuantityKindName | null
  /** What headers of such columns say. */
  says: RegExp
}

const WORDS: Record<WordTarget, [string, RegExp]> = {
  id: ['Id', /^(run )?(id|uuid)$/],
  startedAt: ['Date and time', /^(started( at)?|date ?time|timestamp|date and time|when)$/],
  day: ['Date', /^(date|day|datum|burned on|tested on)$/],
  time: ['Time of day', /^(time of day|start(ed)? time|clock time|at)$/],
  zone: ['Time zone', /^(time ?zone|zone|tz)$/],
  kind: ['Test', /^(test|kind( of test)?|test type)$/],
  setting: ['Setting', /^(setting|valve|flame( setting)?|power)$/],
  breakIn: ['Break-in', /^break ?in$/],
  burnShare: ['Fuel by share of burn time', /^(burn share|share of burn time)$/],
  state: ['State', /^state$/],
  batch: ['Batch', /^(fuel )?batch$/],
  tags: ['Tags', /^(tags?|labels?)$/],
  notes: ['Notes', /^(notes?|remarks?|comments?|observations?)$/],
  stoppedReason: ['Stopped because', /^(stopped because|why stopped|reason)$/],
  setup: ['Set-up', /^(set ?up|stove|burner|kit|rig|system)( name)?$/],
  place: ['Place', /^(place|site|location|where)$/],
  fuel: ['Fuel', /^fuel( type| kind| name)?$/],
  person: ['Who', /^(who|tester|person|by|name|observer)$/],
  method: ['Method', /^(method|protocol|procedure)$/],
}
const SAYS: Partial<Record<MeasuredQuantity, RegExp>> = {
  altitude: /^(altitude|elevation|height above sea( level)?|alt)$/,
  stationPressure: /^(station |local |air |baro(metric)? )?pressure$/,
  seaLevelPressure: /^(pressure at sea level|sea level pressure|qnh|msl pressure)$/,
  air: /^(air|ambient|outside)( temp(erature)?)?$|^temp(erature)? (air|ambient|outside)$/,
  humidity: /^(relative )?humidity$|^rh$/,
  wind: /^wind( speed)?( at pot)?$/,
  windHeight: /^(wind measured at|wind height)$/,
  water: /^(water|volume|water (volume|mass|amount|put in)|amount of water)$/,
  waterStart:
    /^(start|water start|starting|initial|water)( water)? temp(erature)?$|^(start|t start|t0|temp(erature)? (start|initial))$/,
  waterLast: /^(last|end|final|max)( water)? temp(erature)?$|^(t end|temp(erature)? (end|final))$/,
  waterEndMass: /^(water left|water (after|remaining|end))$/,
  fuelBefore:
    /^(fuel before|(mass|weight|canister|burner|scale) (before|start)|start (mass|weight)|before|gross before)$/,
  fuelAfter: /^(fuel after|(mass|weight|canister|burner|scale) (after|end)|end (mass|weight)|after|gross after)$/,
  fuelUsed: /^(fuel used|fuel|fuel burned|fuel consumed|used|consumption|fuel (mass|weight))$/,
  scaleResolution: /^(scale reads to|scale resolution|resolution|scale)$/,
  fuelLoad: /^(load|fuel load)$/,
  fuelLeftover: /^(left ?over|fuel left|leftover fuel)$/,
}
const TIME_SAYS: Partial<Record<TypedEventKind, RegExp>> = {
  lit: /^(lit|lighting|light|ignition)$/,
  bloomed: /^(full flame|bloom(ed)?|warm ?up)$/,
  potOn: /^pot on$/,
  firstBubbles: /^(first )?bubbles$/,
  rollingBoil: /^(boil|time|boil(ing)? time|time to boil|rolling boil|boiled( at)?)$/,
  targetReached: /^(target reached|time to target)$/,
  shutOff: /^(shut off|off|turned off)$/,
  snuffed: /^snuffed$/,
  flameOut: /^(flame out|burn(ed)? out|burn time|out)$/,
  gaveUp: /^(given up|gave up)$/,
  stopped: /^stopped( from outside)?$/,
  flameLeftPot: /^flame left( the)? pot$/,
}
const never = /(?!)/

export const TARGETS: readonly Target[] = [
  ...(Object.entries(WORDS) as [WordTarget, [string, RegExp]][]).map(([key, [name, says]]): Target => ({
    key,
    name,
    quantity: null,
    says,
  })),
  ...(Object.keys(MEASURED_QUANTITIES) as MeasuredQuantity[]).map((quantity): Target => ({
    key: `measured.${quantity}`,
    name: MEASURED_NAMES[quantity],
    quantity: MEASURED_QUANTITIES[quantity],
    says: SAYS[quantity] ?? never,
  })),
  ...TYPED_EVENTS.map((kind): Target => ({
    key: `times.${kind}`,
    name: TIME_NAMES[kind],
    quantity: 'clockTime',
    says: TIME_SAYS[kind] ?? never,
  })),
]
const BY_KEY = new Map<string, Target>(TARGETS.map((target) => [target.key, target]))
export const targetOf = (key: string): Target | null => BY_KEY.get(key) ?? null
export const isNameTarget = (key: string): key is NameTarget => (NAME_TARGETS as readonly string[]).includes(key)
