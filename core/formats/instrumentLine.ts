/** One line of an instrument: a sample between commas or as an object of JSON, or a block of many of one channel. */
import { fail, ok, type Problem, type R } from '../result'
import { twelveDigits } from '../quantity/twelveDigits'
import { toSI, unitOf, unitsNamed, type Dimension, type Unit } from '../quantity/units'

export interface ChannelRule {
  dimensions: readonly Dimension[]
  /** What it can be [SI]. */
  low: number
  high: number
  limit: string
}
/** What one line says of one channel: `values[i]` [SI] at `atMs[i]`. */
interface InstrumentSamples {
  channel: string
  /** Milliseconds since 1970 by the instrument's clock; null: it has none, and the one moment is that of its coming. */
  atMs: number[] | null
  values: number[]
  /** Of a block: values that were kept out, and why the first of them was. */
  refused: { count: number; why: Problem } | null
}
export type InstrumentReader = (line: string) => R<InstrumentSamples>

/** Of a line that is one sample, and of any [characters]; of a block [values]. */
const LONGEST_SAMPLE = 400
export const LONGEST_LINE = 200_000
export const LONGEST_BLOCK = 5000

/**
 * Reads lines. Units are looked up once for each spelling, not for every line.
 * @param rules what each channel may be
 * @returns of a line its samples, or what is wrong with it: no line is ever guessed at
 * Example: "2026-05-01T10:00:00Z,water,93.4,degC" → water, [1777629600000], [93.4].
 */
export function instrumentReader(rules: Readonly<Record<string, ChannelRule>>): InstrumentReader {
  const scales = new Map<string, Scale>()
  const scaleOf = (channel: string, unit: string): R<Scale> => {
    const key = `${channel} ${unit}`
    const known = scales.get(key)
    if (known) return ok(known)
    const made = newScale(rules, channel, unit)
    if (made.ok && scales.size < MOST_SPELLINGS) scales.set(key, made.value)
    return made
  }
  return (line) => {
    const parts = line.trimStart().startsWith('{') ? fromJson(line) : fromCommas(line)
    const longest = parts?.form === 'block' ? LONGEST_LINE : LONGEST_SAMPLE
    if (line.length > longest)
      return fail({
        code: 'too-long',
        what: 'The line',
        got: `${line.length} characters`,
        limit: `at most ${longest}`,
        hint: 'One sample a line, or a block with a list of values.',
      })
    if (parts === null)
      return fail({
        code: 'not-a-line',
        what: 'The line',
        got: shown(line),
        limit: 'time,channel,value,unit or one JSON object with these',
      })
    const scale = scaleOf(parts.channel, parts.unit)
    if (!scale.ok) return scale
    return parts.form === 'block' ? block(parts, scale.value) : sample(parts, scale.value)
  }
}
const MOST_SPELLINGS = 200

/** What a channel may be, and how its unit becomes SI. */
interface Scale {
  channel: string
  rule: ChannelRule
  unit: Unit
}
function newScale(rules: Readonly<Record<string, ChannelRule>>, channel: string, unit: string): R<Scale> {
  const rule = Object.hasOwn(rules, channel) ? rules[channel]! : null
  if (rule === null)
    return fail({
      code: 'no-channel',
      what: 'Channel',
      got: shown(channel),
      limit: `one of ${Object.keys(rules).join(', ')}`,
    })
  const units = unitsNamed(unit, rule.dimensions)
  if (units.length !== 1)
    return fail({ code: 'no-unit', what: 'Unit', got: shown(unit), limit: `a unit of ${rule.dimensions.join(' or ')}` })
  return ok({ channel, rule, unit: unitOf(units[0]!.id) })
}

interface SampleParts {
  form: 'sample'
  t: unknown
  channel: string
  value: number
  written: string
  unit: string
}
interface BlockParts {
  form: 'block'
  t: unknown
  everyMs: unknown
  channel: string
  values: unknown[]
  unit: string
}

function fromJson(line: string): SampleParts | BlockParts | null {
  if (line.length > LONGEST_LINE) return null
  try {
    const read = JSON.parse(line) as {
      t?: unknown
      time?: unknown
      everyMs?: unknown
      channel?: unknown
      value?: unknown
      unit?: unknown
    }
    if (typeof read.channel !== 'string') return null
    const [t, unit] = [read.t ?? read.time ?? null, typeof read.unit === 'string' ? read.unit : '']
    if (Array.isArray(read.value))
      return { form: 'block', t, everyMs: read.everyMs, channel: read.channel, values: read.value, unit }
    return {
      form: 'sample',
      t,
      channel: read.channel,
      value: typeof read.value === 'number' ? read.value : NaN,
      written: String(read.value),
      unit,
    }
  } catch {
    return null
  }
}

function fromCommas(line: string): SampleParts | null {
  if (line.length > LONGEST_SAMPLE) return null
  const cells = line
    .trim()
    .split(',')
    .map((cell) => cell.trim())
  if (cells.length !== 4) return null
  const [t, channel, value, unit] = cells as [string, string, string, string]
  return {
    form: 'sample',
    t: t === '' ? null : t,
    channel,
    value: /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(value) ? Number(value) : NaN,
    written: value,
    unit,
  }
}

function sample({ t, value, written, unit: typed }: SampleParts, { channel, rule, unit }: Scale): R<InstrumentSamples> {
  const si = toSI(value, unit)
  const wrong = wrongValue(si, written, typed, channel, rule)
  if (wrong) return fail(wrong)
  const atMs = t === null ? null : momentOf(t)
  if (Number.isNaN(atMs)) return fail(notATime(t, `${A_TIME}, or nothing`))
  return ok({ channel, atMs: atMs === null ? null : [atMs], values: [twelveDigits(si)], refused: null })
}
function wrongValue(si: number, written: string, unit: string, channel: string, rule: ChannelRule): Problem | null {
  if (!Number.isFinite(si)) return { code: 'not-a-number', what: 'Value', got: shown(written), limit: 'a number' }
  return si < rule.low || si > rule.high
    ? { code: 'out-of-limits', what: channel, got: shown(`${written} ${unit}`), limit: rule.limit }
    : null
}

/**
 * Values with a time each, or the time of the first and the step. A value that is none is kept out by itself, as a line
 * would be.
 */
function block(parts: BlockParts, scale: Scale): R<InstrumentSamples> {
  const { values } = parts
  if (values.length === 0 || values.length > LONGEST_BLOCK)
    return fail({ code: 'block-length', what: 'Block', got: `${values.length} values`, limit: `1 to ${LONGEST_BLOCK}` })
  const clock = blockClock(parts)
  return clock.ok ? ok(blockSamples(parts, scale, clock.value)) : clock
}

/** The moments of a block's values: listed, or so many milliseconds from one to the next. */
type BlockClock = { moments: unknown[] } | { firstMs: number; stepMs: number }

function blockClock({ t, everyMs, values }: BlockParts): R<BlockClock> {
  const wrong = (got: string, limit: string) => fail({ code: 'block-times', what: 'Block', got, limit })
  if (Array.isArray(t))
    return t.length === values.length
      ? ok({ moments: t as unknown[] })
      : wrong(`${t.length} times for ${values.length} values`, 'a time for each value')
  const firstMs = momentOf(t)
  if (Number.isNaN(firstMs)) return fail(notATime(t, A_TIME))
  const stepMs = typeof everyMs === 'number' ? everyMs : NaN
  if (!(stepMs >= 1))
    return wrong(
      `everyMs ${shown(String(everyMs))}`,
      'the milliseconds from value to value, at least 1, or "t" as a list of times',
    )
  return ok({ firstMs, stepMs })
}

function blockSamples({ values, unit: typed }: BlockParts, scale: Scale, clock: BlockClock): InstrumentSamples {
  const { channel, rule, unit } = scale
  const atMs = new Array<number>(values.length)
  const kept = new Array<number>(values.length)
  let count = 0
  let refused: InstrumentSamples['refused'] = null
  for (let i = 0; i < values.length; i++) {
    const value = values[i]
    const at = 'moments' in clock ? momentOf(clock.moments[i]) : Math.round(clock.firstMs + i * clock.stepMs)
    const si = typeof value === 'number' ? toSI(value, unit) : NaN
    if (si >= rule.low && si <= rule.high && !Number.isNaN(at)) {
      atMs[count] = at
      kept[count++] = twelveDigits(si)
    } else {
      const t = 'moments' in clock ? clock.moments[i] : null
      refused ??= {
        count: 0,
        why: inBlock(i, wrongValue(si, String(value), typed, channel, rule) ?? notATime(t, A_TIME)),
      }
      refused.count += 1
    }
  }
  atMs.length = kept.length = count
  return { channel, atMs, values: kept, refused }
}

const inBlock = (i: number, problem: Problem): Problem => ({
  ...problem,
  what: `Value ${i + 1} of the block: ${problem.what}`,
})

/** An ISO moment with its offset, or milliseconds since 1970; NaN: neither. */
function momentOf(t: unknown): number {
  if (typeof t === 'number') return Number.isFinite(t) ? Math.round(t) : NaN
  if (typeof t !== 'string') return NaN
  return Math.round(/^\d{10,}(\.\d+)?$/.test(t) ? Number(t) : /T.*(Z|[+-]\d{2}:?\d{2})$/.test(t) ? Date.parse(t) : NaN)
}
const A_TIME = 'an ISO time with its offset such as 2026-05-01T10:00:00Z, or milliseconds since 1970'
const notATime = (t: unknown, limit: string): Problem => ({
  code: 'not-a-time',
  what: 'Time',
  got: shown(String(t)),
  limit,
})
const shown = (text: string) => JSON.stringify(text.length > 60 ? `${text.slice(0, 60)}…` : text)
