import { runInstrument } from './instrument'

runInstrument({ name: 'weatherStation', about: 'A simulated weather station: air and pressure.', noise: 0.05, step: 0.1, reads: (_, { airC, pressurePa }) => [{ channel: 'air', unit: 'degC', value: airC }, { channel: 'pressure', unit: 'hPa', value: pressurePa / 100 }] })
