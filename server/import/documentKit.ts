/** The kit that documents of the contract name: found where it is known, else made. */
import { v7 as uuidv7 } from 'uuid'
import { fuelOfKind, FUELS } from '../../core/constants/fuels'
import { BURNER_KINDS, type RunDocument } from '../../core/formats/document'
import { burnerFuelMismatch } from '../../core/kit/burnerFuel'
import { setupWarnings } from '../../core/kit/setupWarnings'
import type { ImportMade } from '../../shared/tableImport/imports'
import type { BurnerProperties, PotProperties, ScreenProperties } from '../../shared/thing'
import { hashOf } from '../database/hash'
import type { Connection } from '../database/connection'
import { saveBatch } from '../kit/fuels'
import { findSetup, listSetups } from '../kit/setups'
import { saveSetup } from '../kit/saveSetup'
import { saveThing } from '../kit/saveThing'
import { made, newRecord } from '../runs/burnOne'
import { kitByName } from './kitNames'
import { nothingMade } from './makeKit'

/** Set-ups and batches by what documents say of them; one is made where none here is alike. */
export class DocumentKit {
  readonly made: ImportMade = nothingMade()
  #setups = new Map<string, string>()
  #batches = new Map<string, string>()
  #listed: Awaited<ReturnType<typeof listSetups>> | null = null
  #kit: Awaited<ReturnType<typeof kitByName>> | null = null

  constructor(
    private readonly tx: Connection,
    private readonly source: string,
  ) {}

  async setupOf(document: RunDocument): Promise<string> {
    const wanted = kitOf(document)
    const name = (document.setup ?? 'set-up without a name').trim()
    const key = hashOf({ name, wanted })
    const known = this.#setups.get(key)
    if (known) return known
    this.#listed ??= await listSetups(this.tx)
    const alike = this.#listed.filter((one) => one.name === name)
    const same = alike.find((one) => hashOf(kitOfParts(one.version.parts)) === hashOf(wanted))
    const versionId =
      same?.version.id ?? (await this.#makeSetup(alike.length === 0 ? name : `${name} (${alike.length + 1})`, wanted))
    this.#setups.set(key, versionId)
    return versionId
  }

  async #makeSetup(name: string, { burner, pot, lid, screen }: Wanted): Promise<string> {
    const part = async (kind: string, what: string, fields: Record<string, string | boolean>) => {
      const thing = made(
        await saveThing(this.tx, { ...newRecord({ name: `${what} of ${name}`.slice(0, 120), ...fields }), kind }),
      )
      this.made.things.push(thing.record.id)
      return thing.versions[0]!.id
    }
    const parts: Record<string, string> = {
      burner: await part('burner', 'Burner', { burner: burner.burner, head: burner.head ?? '' }),
    }
    if (pot)
      parts.pot = await part('pot', 'Pot', {
        material: pot.material ?? '',
        massKg: pot.massKg === null ? '' : `${Number((pot.massKg * 1000).toPrecision(12))} g`,
        diameterM: pot.diameterM === null ? '' : `${Number((pot.diameterM * 1000).toPrecision(12))} mm`,
        finned: pot.finned,
      })
    if (lid) parts.lid = await part('lid', 'Lid', {})
    if (screen !== 'none') parts.screen = await part('screen', 'Windscreen', { form: screen })
    const warnings = setupWarnings({
      burner: { kind: burner.burner, supportM: null },
      pot: pot ? { diameterM: pot.diameterM } : null,
      stand: null,
      screened: screen !== 'none',
    })
    const id = uuidv7()
    made(
      await saveSetup(this.tx, {
        ...newRecord({ name: name.slice(0, 120) }),
        id,
        parts,
        overrides: Object.fromEntries(warnings.map((warning) => [warning.code, `As it came in with ${this.source}`])),
      }),
    )
    this.made.setups.push(id)
    this.#listed = null
    return (await findSetup(this.tx, id))!.versions[0]!.id
  }

  async fuelOf({ fuel }: RunDocument): Promise<string> {
    const given = givenFuel(fuel)
    const key = `${given.kind} ${given.lhv ?? ''} ${given.density ?? ''}`
    const known = this.#batches.get(key)
    if (known) return known
    const id = (await this.#plainBatch(given)) ?? (await this.#newBatch(given))
    this.#batches.set(key, id)
    return id
  }

  /** One that stands here, where nothing of it was given but its kind. */
  async #plainBatch({ kind, lhv, density }: GivenFuel): Promise<string | undefined> {
    this.#kit ??= await kitByName(this.tx)
    if (lhv !== null || density !== null) return undefined
    return this.#kit.fuel.find((one) => one.is.kind === kind)?.id
  }

  async #newBatch({ kind, lhv, density }: GivenFuel): Promise<string> {
    const saved = await saveBatch(
      this.tx,
      newRecord({
        kind,
        fuel: FUELS[kind]!.name,
        batch: lhv === null ? 'brought in' : `brought in, ${lhv} MJ/kg`,
        lhvJPerKg: lhv === null ? '' : String(lhv),
        densityKgPerM3: density === null ? '' : String(density),
        source: lhv === null && density === null ? '' : `Given by ${this.source}`,
      }),
    )
    const { id } = made(saved).record
    this.made.batches.push(id)
    return id
  }
}

interface GivenFuel {
  kind: string
  /** [MJ/kg]; null: that of its kind. */
  lhv: number | null
  /** [g/mL]; null: that of its kind. */
  density: number | null
}
function givenFuel({ kind: given, lhvMJPerKg, densityGPerMl }: RunDocument['fuel']): GivenFuel {
  const kind = given ?? 'isobutane-propane'
  const usual = fuelOfKind(kind)!.lowerHeatingValue.value
  const lhv = lhvMJPerKg !== null && Math.abs(lhvMJPerKg - usual) > 1e-9 ? lhvMJPerKg : null
  return { kind, lhv, density: densityGPerMl }
}

interface Wanted {
  burner: { burner: BurnerProperties['burner']; head: BurnerProperties['head'] }
  pot: Pick<PotProperties, 'massKg' | 'material' | 'diameterM' | 'finned'> | null
  lid: boolean
  screen: 'none' | ScreenProperties['form']
}

/** A burner has a kind here; where none was given, one that burns this fuel, and the run's document keeps it open. */
const kindFor = (fuel: string | null) =>
  BURNER_KINDS.find((kind) => fuel === null || burnerFuelMismatch(kind, fuel) === null) ?? BURNER_KINDS[0]

function kitOf({ burner, pot, lid, screen, fuel }: RunDocument): Wanted {
  const hasPot = pot.massG !== null || pot.material !== null || pot.diameterMm !== null || pot.finned !== null
  return {
    burner: { burner: burner.kind ?? kindFor(fuel.kind), head: burner.head },
    pot: hasPot
      ? {
          massKg: plain(pot.massG, 0.001),
          material: pot.material,
          diameterM: plain(pot.diameterMm, 0.001),
          finned: pot.finned ?? false,
        }
      : null,
    lid: lid ?? false,
    screen: screen ?? 'none',
  }
}

function kitOfParts(parts: readonly { role: string; properties: unknown }[]): Wanted {
  const of = <T>(role: string) => (parts.find((part) => part.role === role)?.properties ?? null) as T | null
  const burner = of<BurnerProperties>('burner')
  const pot = of<PotProperties>('pot')
  return {
    burner: { burner: burner?.burner ?? 'canister-top', head: burner?.head ?? null },
    pot:
      pot === null
        ? null
        : {
            massKg: plain(pot.massKg, 1),
            material: pot.material,
            diameterM: plain(pot.diameterM, 1),
            finned: pot.finned,
          },
    lid: of('lid') !== null,
    screen: of<ScreenProperties>('screen')?.form ?? 'none',
  }
}

const plain = (value: number | null | undefined, factor: number) =>
  value == null ? null : Number((value * factor).toPrecision(9))
