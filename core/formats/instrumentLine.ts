/** One line of an instrument: an object of JSON, or time, channel, value and unit between commas. */
import { fail, ok, type Problem, type R } from '../result'
import { toSI, unitOf, unitsNamed, type Dimension } from '../quantity/units'

export interface ChannelRule {
  dimensions: readonly Dimension[]
  /** What it can be [SI]. */
  low: number
  high: number
  limit: string
}
export interface InstrumentSample {
  /** Milliseconds since 1970 by the instrument's clock; null: it has none, and the moment is that of its coming. */
  atMs: number | null
  channel: string
  /** SI. */
  value: number
}

const LONGEST = 400

/**
 * Reads one line.
 * @param rules what each channel may be
 * @returns the sample, or what is wrong with the line: no line is ever guessed at
 * Example: ("2026-05-01T10:00:00Z,water,93.4,degC", rules) → { atMs, channel: "water", value: 93.4 }.
 */
export function parseInstrumentLine(line: string, rules: Readonly<Record<string, ChannelRule>>): R<InstrumentSample> {
  if (line.length > LONGEST) return fail({ code: 'too-long', what: 'The line', got: `${line.length} characters`, limit: `at most ${LONGEST}`, hint: 'One sample a line.' })
  const parts = line.trimStart().startsWith('{') ? fromJson(line) : fromCommas(line)
  if (parts === null) return fail({ code: 'not-a-line', what: 'The line', got: shown(line), limit: 'time,channel,value,unit or one JSON object with these' })
  const { t, channel, value, unit } = parts
  const rule = Object.hasOwn(rules, channel) ? rules[channel]! : null
  if (rule === null) return fail({ code: 'no-channel', what: 'Channel', got: shown(channel), limit: `one of ${Object.keys(rules).join(', ')}` })
  if (!Number.isFinite(value)) return fail({ code: 'not-a-number', what: 'Value', got: shown(parts.written), limit: 'a number' })
  const units = unitsNamed(unit, rule.dimensions)
  if (units.length !== 1) return fail({ code: 'no-unit', what: 'Unit', got: shown(unit), limit: `a unit of ${rule.dimensions.join(' or ')}` })
  const si = toSI(value, unitOf(units[0]!.id))
  if (si < rule.low || si > rule.high) return fail({ code: 'out-of-limits', what: channel, got: shown(`${parts.written} ${unit}`), limit: rule.limit })
  const atMs = momentOf(t)
  return atMs.ok ? ok({ atMs: atMs.value, channel, value: Number(si.toPrecision(12)) }) : atMs
}

interface Parts { t: unknown, channel: string, value: number, written: string, unit: string }

function fromJson(line: string): Parts | null {
  try {
    const read = JSON.parse(line) as { t?: unknown, time?: unknown, channel?: unknown, value?: unknown, unit?: unknown }
    if (typeof read.channel !== 'string') return null
    return { t: read.t ?? read.time ?? null, channel: read.channel, value: typeof read.value === 'number' ? read.value : NaN, written: String(read.value), unit: typeof read.unit === 'string' ? read.unit : '' }
  } catch {
    return null
  }
}

function fromCommas(line: string): Parts | null {
  const cells = line.trim().split(',').map(cell => cell.trim())
  if (cells.length !== 4) return null
  const [t, channel, value, unit] = cells as [string, string, string, string]
  return { t: t === '' ? null : t, channel, value: /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(value) ? Number(value) : NaN, written: value, unit }
}

/** An ISO moment with its offset, or milliseconds since 1970. */
function momentOf(t: unknown): R<number | null> {
  if (t === null) return ok(null)
  const ms = typeof t === 'number' ? t : typeof t === 'string' && /^\d{10,}(\.\d+)?$/.test(t) ? Number(t) : typeof t === 'string' && /T.*(Z|[+-]\d{2}:?\d{2})$/.test(t) ? Date.parse(t) : NaN
  return Number.isFinite(ms) ? ok(Math.round(ms)) : fail({ code: 'not-a-time', what: 'Time', got: shown(String(t)), limit: 'an ISO time with its offset such as 2026-05-01T10:00:00Z, milliseconds since 1970, or nothing' } satisfies Problem)
}
const shown = (text: string) => JSON.stringify(text.length > 60 ? `${text.slice(0, 60)}…` : text)
