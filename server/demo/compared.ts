/** What makers are said to claim, and the question that the testers keep. Invented. */
import { v7 as uuidv7 } from 'uuid'
import type { ClaimWhat } from '../../shared/claim'
import { addClaim } from '../comparisons/claims'
import { keepQuestion } from '../comparisons/kept'
import { pairAsked } from '../../core/compare/answerPair'
import { candidatesOf, isPair } from '../../core/compare/candidates'
import { comparedMeans } from '../comparisons/repository/comparisons'
import type { Connection } from '../database/connection'
import { made, newRecord } from '../runs/burnOne'
import type { SetupKey } from './kit'
import type { DemoKit } from './loadKit'

const CLAIMS: [SetupKey, ClaimWhat, Record<string, string>][] = [
  ['maar', 'timeS', { value: '2:35', waterM3: '500 mL' }],
  ['maar', 'gPerBoil', { value: '6.5 g', waterM3: '500 mL', startC: '15 °C', windMS: 'calm', altitudeM: '0 m' }],
  [
    'narrowOpen',
    'boilsPerPack',
    { value: '22', waterM3: '500 mL', packKg: '230 g', startC: '20 °C', windMS: 'calm', altitudeM: '0 m' },
  ],
  ['finned', 'powerW', { value: '1900' }],
  ['spiritBare', 'burnS', { value: '9:00', loadKg: '24 g' }],
  ['hoseFins', 'massG', { value: '425 g' }],
]

export async function loadCompared(tx: Connection, kit: DemoKit): Promise<void> {
  for (const [setup, what, fields] of CLAIMS)
    made(await addClaim(tx, kit.setups[setup]!, { ...newRecord({ source: 'on the box', ...fields }), what }))
  const pair = candidatesOf(await comparedMeans(tx), null)
    .filter(isPair)
    .find(({ kind, means: [, second] }) => kind === 'part' && second.setupId === kit.setups.finned)
  if (pair === undefined) throw new Error('The demonstration has no pair to keep.')
  made(
    await keepQuestion(tx, {
      id: uuidv7(),
      name: 'Fins on the store’s burner',
      page: 'two',
      query: pairAsked(pair.means),
    }),
  )
}
