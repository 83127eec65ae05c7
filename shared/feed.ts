/** Instruments that send by themselves: what is said of them, and what they are answered. */
import { array, object, ValidationError } from 'yup'
import { LONGEST_LINE, type ChannelRule } from '../core/formats/instrumentLine'
import { QUANTITY_KINDS } from '../core/quantity/kinds'
import { LANES, type LaneName } from './lanes'
import { CHANNEL_NAMES, CHANNELS, type ChannelName } from './channels'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

/** Which lanes a channel is of: air and wind may be of all. A channel that is not named is not taken. */
export type FeedLanes = Partial<Record<ChannelName, LaneName[]>>
export interface FeedLine {
  id: string
  name: string
  lanes: FeedLanes
  createdAt: string
}
/** With its token, which is shown this once. */
export interface NewFeed extends FeedLine {
  token: string
}

/** Of one batch: how many samples were stored, were there already, or fell where no run stood; and what was refused. */
export interface IngestAck {
  batch: string
  stored: number
  known: number
  /** Nothing stood on their lane. */
  idle: number
  refused: number
  problems: { line: number; text: string }[]
}
export const INGEST = {
  maxLines: 5000,
  maxSamples: 60_000,
  maxBytes: 2_000_000,
  longestLine: LONGEST_LINE,
  maxProblems: 20,
  maxBatchId: 80,
  /** How far an instrument's clock may be ahead, and how old a sample may be [ms]. */ aheadMs: 5000,
  oldMs: 3_600_000,
} as const

export const CHANNEL_RULES = Object.fromEntries(
  CHANNEL_NAMES.map((name) => [
    name,
    {
      dimensions: QUANTITY_KINDS[CHANNELS[name].quantity].dimensions,
      low: CHANNELS[name].low,
      high: CHANNELS[name].high,
      limit: CHANNELS[name].limit,
    },
  ]),
) as Record<ChannelName, ChannelRule>

const schema = object({
  id: string().required().matches(UUID, 'The record has no id. Reload and try again.'),
  name: plainText('Name', MAX_TEXT.name)
    .trim()
    .required('Name: read nothing, expected a name such as "probe in pot A".'),
  lanes: object(
    Object.fromEntries(
      CHANNEL_NAMES.map((name) => [
        name,
        array(string().required().oneOf(LANES, 'Lane: expected A to F.')).default([]),
      ]),
    ),
  ).required(),
})
export type ReadFeed =
  { ok: true; feed: { id: string; name: string; lanes: FeedLanes } } | { ok: false; problems: FieldProblem[] }
export function readFeed(input: unknown): ReadFeed {
  try {
    const { id, name, lanes } = schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as {
      id: string
      name: string
      lanes: Record<ChannelName, LaneName[]>
    }
    const some = Object.fromEntries(
      CHANNEL_NAMES.filter((channel) => lanes[channel].length > 0).map((channel) => [
        channel,
        [...new Set(lanes[channel])].sort(),
      ]),
    ) as FeedLanes
    if (Object.keys(some).length === 0)
      return {
        ok: false,
        problems: [
          {
            path: 'lanes',
            text: 'Lanes: read nothing, expected a lane for one channel at least. Choose what it follows.',
          },
        ],
      }
    return { ok: true, feed: { id, name, lanes: some } }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
