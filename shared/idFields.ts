/** Ids as they are sent. */
import { mustBeChosen } from './mustBeChosen'
import { shown } from './readProblems'
import { UUID } from './uuid'
import { string } from './words'

type Read = { value: unknown }
const expectsId =
  (what: string) =>
  ({ value }: Read): string =>
    `${what}: read ${shown(value)}, expected an id. Choose one from the list.`

/** What is chosen from a list. */
export const chosenId = (what: string) => string().required(mustBeChosen(what)).matches(UUID, expectsId(what))

/** What is named by the program that sends it. */
export const sentId = (what: string) =>
  string().required(`${what}: read nothing, expected an id.`).matches(UUID, expectsId(what))

export const idOrNull = (what: string) =>
  string()
    .nullable()
    .default(null)
    .matches(UUID, { message: expectsId(what), excludeEmptyString: true })
