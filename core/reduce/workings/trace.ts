/** Workings of what the trace says: the boil in it, and the heating model fitted to it. */
import type { AddWorking } from '../../explain/working'
import type { RunAnswer } from '../../formats/answer'
import type { Composition } from '../composition'
import { computed, measured } from './inputs'

type Found = NonNullable<RunAnswer['boilFound']>
type Burn = NonNullable<RunAnswer['traceFit']>[number]

export function addTrace(
  { input: { place }, readings: { boilingC }, addWorking }: Composition,
  { traceFit, boilFound }: Pick<RunAnswer, 'traceFit' | 'boilFound'>,
): void {
  if (!addWorking) return
  if (boilFound !== null && boilFound.atS !== null) addBoil(boilFound, boilingC, addWorking)
  traceFit?.forEach((burn, i) => addFit(burn, `traceFit.${i}`, place.airC, addWorking))
}

function addBoil(found: Found, boilingC: number | null, addWorking: AddWorking): void {
  const dips = found.dips ? ' Dips were seen, as when the lid is lifted: three times wider.' : ''
  const spikes = found.spikes > 0 ? ` Spikes left out: ${found.spikes}.` : ''
  addWorking({
    path: 'boilFound',
    title: 'Boil, by the trace',
    value: found.atS,
    unit: 's',
    source: 'boilFinder',
    formula: 'where the fitted rise crosses {L} − 0.5 K',
    inputs: [
      computed('L', 'Plateau', found.levelC, '°C'),
      computed('T_b', 'Boiling point here', boilingC, '°C', { path: 'boilingPointC' }),
      computed('offset', 'Probe offset, plateau − boiling point', found.offsetK, 'K', { u: found.offsetU }),
      computed('slope', 'Rise at the boil', found.slopeKPerS, 'K/s'),
    ],
    note: `Standard uncertainty ${found.u!.toFixed(1)} s.${dips}${spikes}`,
  })
}

function addFit(burn: Burn, path: string, airC: number | null, addWorking: AddWorking): void {
  const { lossAndDroopWPerK, lagS, q0W } = burn
  addWorking({
    path,
    title: 'Heat flow into a cold pot, by the trace',
    value: q0W.value,
    unit: 'W',
    source: 'newton',
    formula: 'q0 = C·{s} + {K}·({T_i} − {T_a}) from T = {T_i} + {s}·(1 − e^(−kτ))/k, K = k·C',
    inputs: [
      computed('s', 'Slope at the start', burn.slopeKPerS, 'K/s'),
      computed('K', 'K = K_loss + q0/Θ', lossAndDroopWPerK.value, 'W/K', { u: lossAndDroopWPerK.u }),
      computed('lag', 'Start lag', lagS.value, 's', { u: lagS.u }),
      computed('T_i', 'Start of the fit', burn.startC, '°C'),
      measured('T_a', 'Air', airC, '°C'),
    ],
    note: `${burn.n} samples, scatter ${burn.rmsK.toFixed(2)} K, standard uncertainty ${q0W.u.toFixed(1)} W. The ladder keeps the heat flow from the timed heating, so that runs with and without a trace are read alike.`,
  })
}
