/** Sharing with a second device: what this machine's screen shows, and what a device says to be let in. */
import { object, string, ValidationError } from 'yup'
import { plainText } from './fields'
import { MAX_TEXT } from './limits'
import { fieldProblems, type FieldProblem } from './readProblems'

export interface PairedDevice { id: string, name: string, pairedAt: string }
export interface ShareState {
  /** Null: it was started without --share. */
  shared: { addresses: { url: string, /** The address as a picture to photograph: SVG. */ qr: string }[], code: string, untilMs: number } | null
  devices: PairedDevice[]
}
export interface TypedPairing { code: string, name: string }

export const DEVICE_COOKIE = 'vulcanum_device'

const schema = object({
  code: string().required('Code: read nothing, expected the six digits on the other screen.').test('digits', 'Code: expected six digits, as on the other screen.', text => (text ?? '').replace(/\D/g, '').length === 6),
  name: plainText('Name', MAX_TEXT.name).trim().required('Name: read nothing, expected what to call this device, such as "my phone".'),
})

export function readPairing(input: unknown): { ok: true, typed: TypedPairing } | { ok: false, problems: FieldProblem[] } {
  try {
    return { ok: true, typed: schema.validateSync(input, { abortEarly: false, stripUnknown: true }) as TypedPairing }
  } catch (error) {
    if (error instanceof ValidationError) return { ok: false, problems: fieldProblems(error) }
    throw error
  }
}
