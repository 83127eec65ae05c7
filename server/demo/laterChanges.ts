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
  const wrap = (await findThing(tx, kit.things.wrap!))!
  made(
    await saveThing(tx, {
      ...wrap.record,
      kind: 'screen',
      personId,
      reason: 'The gap was measured again, with the pot in it',
      fields: { ...wrap.record.fields, gapM: '15 mm' },
    }),
  )
  const gel = (await findSetup(tx, kit.setups.gel!))!
  const cone = (await findThing(tx, kit.things.cone!))!.versions[0]!.id
  made(
    await saveSetup(tx, {
      ...gel.record,
      personId,
      reason: 'Without a cone it was no fair comparison',
      parts: { ...gel.record.parts, screen: cone },
    }),
  )
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
  made(
    await saveMethod(tx, {
      ...copy,
      revision: 1,
      reason: 'Two never agreed',
      fields: { ...copy.fields, replicates: '4' },
    }),
  )
}
