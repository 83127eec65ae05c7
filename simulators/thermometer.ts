import { runInstrument } from './instrument'

runInstrument({
  name: 'thermometer',
  about: 'A simulated thermometer in the pot of a lane.',
  reads: ({ probeC }) => [{ channel: 'water', unit: 'degC', value: probeC, noise: 0.15, step: 0.1 }],
})
