import { runInstrument } from './instrument'

/** Gusts about the mean; never below nothing. */
runInstrument({
  name: 'windMeter',
  about: 'A simulated wind meter at the height of the pot.',
  reads: (_, { conditions: { windMS } }, random) => [
    { channel: 'wind', unit: 'm/s', value: Math.max(0, windMS * (1 + 0.15 * random.normal())), noise: 0, step: 0.1 },
  ],
})
