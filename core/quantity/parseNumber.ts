/** Numbers as people write them: 7,200 · 9,2 · 1 1/2 · ½ · −3 · 1e-3. */

const VULGAR: Record<string, number> = { '½': 1 / 2, '¼': 1 / 4, '¾': 3 / 4, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 1 / 8 }
const PLAIN = /^[-+]?(\d+(\.\d*)?|\.\d+)(e[-+]?\d+)?$/i
const THOUSANDS = /^[-+]?[1-9]\d{0,2}(,\d{3})+(\.\d+)?$/
const DECIMAL_COMMA = /^[-+]?\d+,\d+$/
const FRACTION = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/

/**
 * The number in `text`, or null. A comma before exactly three digits after a non-zero lead separates thousands, else it
 * is a decimal comma.
 */
export function parseNumber(text: string): number | null {
  const trimmed = text
    .trim()
    .replace(/[−–]/g, '-')
    .replace(/(?<=\d)[\s\u00a0\u202f'](?=\d{3}(\D|$))/g, '')
  if (PLAIN.test(trimmed)) return finite(Number(trimmed))
  if (THOUSANDS.test(trimmed)) return finite(Number(trimmed.replaceAll(',', '')))
  if (DECIMAL_COMMA.test(trimmed)) return finite(Number(trimmed.replace(',', '.')))
  return fraction(trimmed)
}

function fraction(text: string): number | null {
  const last = VULGAR[text.slice(-1)]
  if (last !== undefined) {
    const whole = text.slice(0, -1).trim()
    return whole === '' ? last : /^\d+$/.test(whole) ? Number(whole) + last : null
  }
  const parts = FRACTION.exec(text)
  if (!parts || Number(parts[3]) === 0) return null
  return Number(parts[1] ?? 0) + Number(parts[2]) / Number(parts[3])
}

const finite = (value: number): number | null => (Number.isFinite(value) ? value : null)
