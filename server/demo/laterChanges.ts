/** What the testers changed after the runs: so that histories, newer parts and a method of one's own can be seen. */
import { fieldsOfMethod } from '../../shared/methodBody'
import { SHIPPED } from '../../core/method/shipped'
import type { Connection } from '../database/connection'
import { findSetup } from '../kit/setups'
import { saveSetup } from '../kit/saveSetup'
import { findThing } from '../kit/things'
import { saveThing } from '../kit/saveThing'
import { saveMethod, shippedId } from '../methods/methods'
import { made, newRecord } from '../runs/burnOne'
import { PEOPLE } from './kit'
import type { DemoKit } from './loadKit'

export async function laterChanges(tx: Connection, kit: DemoKit): Promise<void> {
  const personId = kit.people[PEOPLE[1]]!
  await measureGapAgain(tx, kit, personId)
  await putConeRound(tx, kit, personId)
  await makeOwnMethod(tx, personId)
}

async function measureGapAgain(tx: Connection, kit: DemoKit, personId: string): Promise<void> {
  const { record } = (await findThing(tx, kit.things.wrap!))!
  const fields = { ...record.fields, gapM: '15 mm' }
  const reason = 'The gap was measured again, with the pot in it'
  made(await saveThing(tx, { ...record, kind: 'screen', personId, reason, fields }))
}

async function putConeRound(tx: Connection, kit: DemoKit, personId: string): Promise<void> {
  const { record } = (await findSetup(tx, kit.setups.gel!))!
  const cone = (await findThing(tx, kit.things.cone!))!.versions[0]!.id
  const reason = 'Without a cone it was no fair comparison'
  made(await saveSetup(tx, { ...record, personId, reason, parts: { ...record.parts, screen: cone } }))
}

async function makeOwnMethod(tx: Connection, personId: string): Promise<void> {
  const { body, name } = SHIPPED.boil
  const copy = newRecord(
    {
      ...fieldsOfMethod(name, body),
      name: 'Half-litre boil for the crews',
      waterKg: '500 g',
      startLow: '',
      startHigh: '',
      setting: 'full',
      replicates: '2',
    },
    personId,
  )
  made(await saveMethod(tx, { ...copy, copiedFromId: shippedId('boil') }))
  const fields = { ...copy.fields, replicates: '4' }
  made(await saveMethod(tx, { ...copy, revision: 1, reason: 'Two never agreed', fields }))
}
