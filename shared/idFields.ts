/** Ids as they are sent. */
import { shown } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

type Read = { value: unknown }
const expectsId =
  (what: string) =>
  ({ value }: Read): string =>
    `${what}: read ${shown(value)}, expected an id. Choose one from the list.`

/** @param expected what it is called where nothing was sent */
export const idIn = (what: string, expected = 'a choice from the list. Choose one') =>
  string().required(`${what}: read nothing, expected ${expected}.`).matches(UUID, expectsId(what))

export const idOrNull = (what: string) =>
  string()
    .nullable()
    .default(null)
    .matches(UUID, { message: expectsId(what), excludeEmptyString: true })
