/** The values of each channel, written beforehand: what writes them runs on the machine that is measured. */
export const UNITS = { water: 'degC', scale: 'g', wind: 'm/s', air: 'degC', container: 'degC', pressure: 'hPa' }
const CHANNELS = Object.keys(UNITS)
/** After so many the values begin anew. */
const PERIOD = 3000
const VALUE = {
  water: (n) => 20 + (n % 500) / 10,
  scale: (n) => 420 - (n % 3000) / 100,
  wind: (n) => (n % 30) / 10,
  air: (n) => 12 + (n % 10) / 10,
  container: (n) => 8 + (n % 40) / 10,
  pressure: (n) => 905 + (n % 20) / 10,
}

const WRITTEN = Object.fromEntries(
  Object.entries(VALUE).map(([channel, value]) => [
    channel,
    Array.from({ length: PERIOD }, (_, n) => value(n).toFixed(2)),
  ]),
)
export const written = (channel, n) => WRITTEN[channel][n % PERIOD]
/** The values of each channel one after another, twice round, and where each begins. */
const IN_A_ROW = Object.fromEntries(
  CHANNELS.map((channel) => {
    const starts = [0]
    for (let n = 0; n < 2 * PERIOD; n++) starts.push(starts[n] + written(channel, n).length + 1)
    return [channel, { text: Array.from({ length: 2 * PERIOD }, (_, n) => written(channel, n)).join(','), starts }]
  }),
)
/** So many of them from the nth on, at most a period. */
export function inARow(channel, n, count) {
  const { text, starts } = IN_A_ROW[channel]
  const first = n % PERIOD
  return text.slice(starts[first], starts[first + count] - 1)
}
