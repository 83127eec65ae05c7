import { runInstrument } from './instrument'

/** Burner, full canister and pot: what it weighs before anything burns [g]. */
const FULL_G = 420
runInstrument({ name: 'scale', about: 'A simulated scale under the burner of a lane: its reading falls by what burns.', noise: 0.05, step: 0.1, reads: stove => [{ channel: 'scale', unit: 'g', value: FULL_G - stove.fuelG }] })
