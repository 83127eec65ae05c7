/** The harder campaign's runs as the contract has them, as their testers wrote them down. */
import type { OutdoorConditions } from '../../core/simulate/outdoor/conditions'
import type { OutdoorRun } from '../../core/simulate/outdoor/outdoorCampaign'

/** The Standard bench, for the simulator: half a litre with a lid, at full. */
export const OUTDOOR_BENCH: OutdoorConditions = {
  waterKg: 0.5,
  startC: 20,
  airC: 20,
  pressurePa: 101_325,
  humidity: 0.5,
  windMS: 0,
  gusts: null,
  setting: 1,
  lid: true,
  leadS: 0,
  can: null,
}

export function outdoorDocument(run: OutdoorRun, id: number) {
  const { kit, asked } = run
  return {
    id: `${run.group}-${id}`,
    setup: run.setup,
    place: { altitudeM: asked.altitudeM, airC: run.airC, windMS: run.windMS },
    water: {
      massG: run.waterG,
      by: asked.by,
      startC: run.startC,
      endC: run.callS === null ? run.endC : null,
      endMassG: asked.lid ? null : run.endWaterG,
    },
    pot: { massG: kit.potG, material: kit.material, diameterMm: kit.diameterMm, finned: kit.finned },
    lid: asked.lid,
    screen: kit.screen,
    burner: { kind: kit.burner, head: kit.head },
    fuel: { kind: kit.fuel, lhvMJPerKg: kit.lhvMJPerKg, usedG: run.usedG, scaleResolutionG: asked.scaleG },
    setting: asked.setting,
    container: asked.canShare === null ? null : { id: null, fillShare: asked.canShare, startC: run.canStartC },
    events: [
      ...(run.litS < 0 ? [{ kind: 'lit', s: run.litS }] : []),
      { kind: 'potOn', s: 0 },
      run.callS === null ? { kind: 'gaveUp', s: run.endS } : { kind: 'rollingBoil', s: run.callS },
    ],
  }
}
