import { scaleG } from '../core/simulate/playScene'
import { runInstrument } from './instrument'

/** What a rehearsal's lane is told, by one program: thermometer, scale, wind meter and weather station in one. */
runInstrument({
  name: 'rehearsal',
  about: 'All that a bench has, for a lane that is rehearsed on: water, scale, wind, air and pressure.',
  reads: (played, scene, random) => [
    { channel: 'water', unit: 'degC', value: played.probeC, noise: 0.15, step: 0.1 },
    { channel: 'scale', unit: 'g', value: scaleG(scene, played), noise: 0.05, step: 0.1 },
    {
      channel: 'wind',
      unit: 'm/s',
      value: Math.max(0, scene.conditions.windMS * (1 + 0.15 * random.normal())),
      noise: 0,
      step: 0.1,
    },
    { channel: 'air', unit: 'degC', value: scene.conditions.airC, noise: 0.05, step: 0.1 },
    { channel: 'pressure', unit: 'hPa', value: scene.conditions.pressurePa / 100, noise: 0.05, step: 0.1 },
  ],
})
