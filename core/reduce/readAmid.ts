/** What changed while it heated: pot, lid, valve and wind, none of them in silence. */
import { windAtPot } from '../air/wind'
import type { Flag } from '../formats/answer'
import type { Setting } from '../formats/document'
import { formatClock, formatNumber } from '../quantity/format'
import { awayFor, heatingPieces, standingAmid, type Span } from '../run/heatingPieces'
import type { DerivedTimes } from '../run/deriveTimes'
import { flamesBetween } from '../run/burns'
import type { Reading, Readings } from './readings'

type Amid = Pick<Readings, 'windMS' | 'windChangeU' | 'isSetAnew' | 'pieces'>

/** A wind that changed and was not read again: by so much, or by this share of it, standard. Source: estimate. */
const UNREAD_CHANGE_U_MS = 0.5
const UNREAD_CHANGE_SHARE = 0.3
/** Below it is rounding. */
const LEAST_SHARE = 1e-9

export function readAmid(reading: Reading, times: DerivedTimes, heatS: number | null): Amid {
  const { input, flags } = reading
  const span = heatS === null || times.potOnS === null ? null : { fromS: times.potOnS, toS: times.potOnS + heatS }
  if (span === null) return { ...windAmid(reading, null), isSetAnew: false, pieces: null }
  const isOpen = input.lid === false
  const pieces = heatingPieces(input.events, times.burns, span, isOpen)
  if (pieces !== null) {
    const { lidS } = awayFor(pieces, isOpen)
    // What a flame that went out does is said by itself.
    const burnedS = flamesBetween(times.burns, span.fromS, span.toS).reduce(
      (sum, one) => sum + one.endS - one.startS,
      0,
    )
    const offS = awayFor(pieces, isOpen).offS - (heatS! - burnedS)
    flags.push(...(offS >= 1 ? [potOffFlag(offS)] : []), ...(lidS >= 1 ? [lidFlag(lidS, isOpen)] : []))
  }
  const settings = standingAmid(input.events, span, {
    kind: 'settingChanged',
    first: input.setting,
    valueOf: (event) => event.setting ?? null,
  })
  const isSetAnew = settings.length > 1
  if (isSetAnew) flags.push(settingFlag(settings))
  return { ...windAmid(reading, span), isSetAnew, pieces }
}

const note = (code: string, text: string): Flag => ({ code, severity: 'note', text })
const potOffFlag = (s: number): Flag =>
  note(
    'pot-off',
    `The pot was off the flame for ${formatClock(s)}: it cooled meanwhile, and what that cost is taken out with the first rung.`,
  )
const lidFlag = (s: number, isOpen: boolean): Flag =>
  note(
    'lid-moved',
    `The lid was ${isOpen ? 'on' : 'off'} for ${formatClock(s)}: what that spared or cost is taken out with the first rung.`,
  )

function settingFlag(settings: readonly { value: Setting | null; share: number }[]): Flag {
  const said = settings.map(({ value, share }) => `${value ?? 'not said'} for ${Math.round(100 * share)} %`)
  return note(
    'setting-changed',
    `The flame was set anew while it heated (${said.join(', ')}): the figure is of the mix.`,
  )
}

/** The wind's mean over the heating, and how far it may be off. */
function windAmid(
  { input: { place, events }, flags }: Reading,
  span: Span | null,
): Pick<Amid, 'windMS' | 'windChangeU'> {
  const atPot = (windMS: number | null) => (windMS === null ? null : windAtPot(windMS, place.windHeightM))
  const first = atPot(place.windMS)
  const winds =
    span === null
      ? []
      : standingAmid(events, span, { kind: 'windChanged', first, valueOf: (event) => atPot(event.windMS ?? null) })
  if (winds.length <= 1 || first === null) return { windMS: first, windChangeU: 0 }
  const read = winds.flatMap(({ value, share }) => (value === null ? [] : [{ windMS: value, share }]))
  const readShare = read.reduce((sum, { share }) => sum + share, 0)
  const mean = readShare > 0 ? read.reduce((sum, { windMS, share }) => sum + windMS * share, 0) / readShare : first
  const unread = 1 - readShare
  const spread = Math.sqrt(read.reduce((sum, { windMS, share }) => sum + share * (windMS - mean) ** 2, 0))
  flags.push(windFlag(mean, unread))
  return {
    windMS: mean,
    // Loss is no straight line in the wind: a quarter of the spread is how far the mean may be off for it.
    windChangeU: Math.hypot(spread / 4, unread * Math.max(UNREAD_CHANGE_U_MS, UNREAD_CHANGE_SHARE * mean)),
  }
}

const windFlag = (mean: number, unread: number): Flag =>
  unread > LEAST_SHARE
    ? {
        code: 'wind-changed',
        severity: 'warning',
        text: 'The wind changed while it heated and was not read again: it is taken as it was read, and is less sure.',
      }
    : note('wind-changed', `The wind changed while it heated: its mean over that time is ${formatNumber(mean, 1)} m/s.`)
