import { scaleG } from '../core/simulate/playScene'
import { runInstrument } from './instrument'

runInstrument({
  name: 'scale',
  about: 'A simulated scale under the burner of a lane: its reading falls by what burns.',
  reads: (played, scene) => [{ channel: 'scale', unit: 'g', value: scaleG(scene, played), noise: 0.05, step: 0.1 }],
})
