import { runInstrument } from './instrument'

runInstrument({ name: 'thermometer', about: 'A simulated thermometer in the pot of a lane.', noise: 0.15, step: 0.1, reads: stove => [{ channel: 'water', unit: 'degC', value: stove.waterC }] })
