import { runInstrument } from './instrument'

runInstrument({
  name: 'weatherStation',
  about: 'A simulated weather station: air and pressure.',
  reads: (_, { conditions: { airC, pressurePa } }) => [
    { channel: 'air', unit: 'degC', value: airC, noise: 0.05, step: 0.1 },
    { channel: 'pressure', unit: 'hPa', value: pressurePa / 100, noise: 0.05, step: 0.1 },
  ],
})
