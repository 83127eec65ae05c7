/** What a new run takes from the last one: all that is still in the lists, and no reading. */
import { FUEL_KINDS } from '#core/constants/fuels'
import type { TypedBurnOne } from '#shared/burnOne'
import type { KitChoices } from '#shared/kitChoices'
import { SET_AMOUNTS, type RunLike } from '#shared/likeRun'
import type { ReadingInstrument } from '#shared/typedRun'

type Chosen = RunLike['chosen']
/** What was taken, by where it stands: it is marked there until it is changed. */
export type Taken = Record<string, string | null>

const LISTS: [key: keyof Chosen, of: keyof KitChoices][] = [
  ['setupId', 'setups'],
  ['fuelBatchId', 'fuels'],
  ['methodId', 'methods'],
  ['personId', 'people'],
  ['placeId', 'places'],
  ['containerId', 'containers'],
]

/** Of what a run had, what can still be chosen. */
function chosenLike(kit: KitChoices, { chosen }: RunLike): Partial<Chosen> {
  const has = (of: keyof KitChoices, id: unknown) => kit[of].some((one) => one.id === id)
  const ids = LISTS.filter(([key, of]) => has(of, chosen[key])).map(([key]) => [key, chosen[key]] as const)
  const instruments = Object.entries(chosen.instruments).filter(([, id]) => has('instruments', id))
  return {
    ...Object.fromEntries(ids),
    ...(chosen.setting !== '' && { setting: chosen.setting }),
    ...(instruments.length > 0 && { instruments: Object.fromEntries(instruments) }),
  }
}

interface Takes extends Omit<Chosen, 'instruments' | 'methodId'> {
  methodId: string | null
  instruments: Record<ReadingInstrument, string>
  measured: Record<string, string>
}
/**
 * Puts what a run had into a form that has none of it yet.
 * @returns what was put where
 */
export function takeLike(form: Takes, kit: KitChoices, like: RunLike): Taken {
  const { instruments = {}, ...chosen } = chosenLike(kit, like)
  const taken: Taken = { ...chosen }
  Object.assign(form, chosen)
  for (const [measures, id] of Object.entries(instruments) as [ReadingInstrument, string][]) {
    form.instruments = { ...form.instruments, [measures]: id }
    taken[`instruments.${measures}`] = id
  }
  for (const name of SET_AMOUNTS) {
    const typed = like.amounts[name]
    if (typed === undefined) continue
    form.measured[name] = typed
    taken[`measured.${name}`] = typed
  }
  return taken
}

/** What stands there now. */
export function standingAt(form: object, path: string): unknown {
  return path.split('.').reduce<unknown>((at, key) => (at as Record<string, unknown> | undefined)?.[key], form)
}
export const isTaken = (form: object, taken: Taken, path: string): boolean =>
  path in taken && taken[path] !== '' && taken[path] !== null && standingAt(form, path) === taken[path]

/** As if nothing had been taken. */
export function untake(form: Takes, taken: Taken): void {
  for (const path of Object.keys(taken)) {
    if (!isTaken(form, taken, path)) continue
    const [key, part] = path.split('.') as [keyof Takes, string | undefined]
    if (part !== undefined) Object.assign(form, { [key]: { ...(form[key] as object), [part]: '' } })
    else Object.assign(form, { [key]: EMPTY_IS_NULL.includes(key) ? null : '' })
  }
}
/** What was taken, there again. */
export function retake(form: object, taken: Taken): void {
  for (const [path, value] of Object.entries(taken)) {
    const [key, part] = path.split('.') as [keyof Takes, string | undefined]
    const held = (form as Takes)[key] as object
    Object.assign(form, { [key]: part === undefined ? value : { ...held, [part]: value } })
  }
}
const EMPTY_IS_NULL: (keyof Takes)[] = ['placeId', 'containerId']

/** Of a first burn with kit of its own: who, where, and the kinds of what burned. */
export function burnLike({ person, place, altitudeM, fuelKind, burner }: RunLike['words']): Partial<TypedBurnOne> {
  return {
    who: person,
    ...(place !== null && { place }),
    ...(place !== null && altitudeM !== null && { altitude: `${altitudeM} m` }),
    ...(fuelKind !== null && (FUEL_KINDS as readonly string[]).includes(fuelKind) && { fuelKind }),
    ...(burner !== null && { burnerKind: burner }),
  }
}
