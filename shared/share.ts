/** Sharing with a second device: what this machine's screen shows, and what a device says to be let in. */
import { boolean, object, type Schema } from 'yup'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { readBySchema } from './readBySchema'
import type { FieldProblem } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

export interface PairedDevice {
  id: string
  name: string
  pairedAt: string
}
export interface ShareState {
  /** Null: it was started without --share. */
  shared: {
    addresses: {
      url: string
      /** The address as a picture to photograph, with what lets in while pairing is open: SVG. */ qr: string
    }[]
    pairing: OpenPairing | null
  } | null
  devices: PairedDevice[]
}
/** While this machine's screen asks for it. Null elsewhere: nobody can be let in. */
export interface OpenPairing {
  code: string
  untilMs: number
  /** Devices that said the code and wait for this screen's yes. */ asking: { id: string; name: string }[]
}
export interface TypedPairing {
  code: string
  name: string
}
/** What a device that said the code asks with, until the screen has answered. */
export interface PairingClaim {
  id: string
  claim: string
}
export type ClaimAnswer = { as: 'waiting' | 'refused' } | { as: 'granted'; id: string; name: string }

export const DEVICE_COOKIE = 'vulcanum_device'

const schema = object({
  code: string()
    .trim()
    .required('Code: read nothing, expected the eight digits on the other screen.')
    .max(60, 'Code: expected eight digits, as on the other screen.'),
  name: plainText('Name', MAX_TEXT.name)
    .trim()
    .required('Name: read nothing, expected what to call this device, such as "my phone".'),
})

const claimSchema = object({
  id: string().required().matches(UUID, 'This is no pairing. Type the code again.'),
  claim: string().required().max(80, 'This is no pairing. Type the code again.'),
})
const answerSchema = object({ yes: boolean().required('Let it in, or not?') })

type Read<T> = { ok: true; typed: T } | { ok: false; problems: FieldProblem[] }
export const readPairing = (input: unknown): Read<TypedPairing> => readWith(schema, input)
export const readClaim = (input: unknown): Read<PairingClaim> => readWith(claimSchema, input)
export const readPairingAnswer = (input: unknown): Read<{ yes: boolean }> => readWith(answerSchema, input)

function readWith<T>(by: Schema, input: unknown): Read<T> {
  const read = readBySchema<T>(by, input)
  return read.ok ? { ok: true, typed: read.value } : read
}
