/** What nobody means and somebody sends: values that have broken servers, to stand where something good is expected. */
import fc from 'fast-check'

const TEXTS = [
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  '\udfff words',
  '\u202E\u0000',
  '🔥'.repeat(300),
  'x'.repeat(5000),
  '=1+1',
  '＝cmd',
  'NaN',
  '-Infinity',
  '1e400',
  '0x10',
  "' or 1=1 --",
  '{{7*7}}',
  '<script>alert(1)</script>',
  '../../etc/passwd',
  '%00',
  '%s%n',
  '0000-01-01',
  '-000001-01-01T00:00:00Z',
  '99999-12-31',
  '2026-02-30',
  '+275760-09-13T00:00:00.000Z',
  '1969-12-31T23:59:59Z',
  '2201-01-01',
  'Etc/Nowhere',
  '__proto__',
  'constructor',
  'toString',
  '00000000-0000-0000-0000-000000000000',
  'null',
  '[]',
  '1:99:99',
  '12:60',
  '1,2,3',
  '−5',
  '٣',
]
const NUMBERS = [
  0,
  -0,
  -1,
  0.5,
  1e300,
  -1e300,
  1e20,
  2 ** 31,
  2 ** 53,
  -(2 ** 63),
  8.64e15 + 1,
  -62_198_755_200_000,
  5e-324,
]
const OBJECTS: unknown[] = [
  null,
  true,
  false,
  [],
  {},
  [[]],
  [null],
  { a: { b: {} } },
  JSON.parse('{"__proto__": {}}'),
  JSON.parse('{"__proto__": {"polluted": 1}}'),
  JSON.parse('{"constructor": {}}'),
  JSON.parse('{"constructor": {"prototype": {"x": 1}}}'),
  { toString: 1 },
  { length: -1 },
  { then: 1 },
  { valueOf: {} },
]

export const hostile: fc.Arbitrary<unknown> = fc.oneof(
  fc.constantFrom(...TEXTS),
  fc.constantFrom(...NUMBERS),
  fc.constantFrom(...OBJECTS),
  fc.string({ unit: 'binary', maxLength: 20 }),
  fc.double(),
  fc.array(fc.constantFrom<unknown>('x', 1, null, {}), { maxLength: 300 }),
)

/** Bodies that are no record at all. */
export const nonsense: fc.Arbitrary<string> = fc.oneof(
  fc.constantFrom(
    '',
    'null',
    '"x"',
    '[]',
    '{}',
    '0',
    'true',
    '{',
    '[[[',
    '{"a":',
    '\0',
    '\ud800',
    '{"__proto__":{}}',
    '{"constructor":{}}',
    '[{}]',
    '{"a":1}{"b":2}',
    `${'['.repeat(5000)}${']'.repeat(5000)}`,
    `${'{"a":'.repeat(3000)}1${'}'.repeat(3000)}`,
    `"${'x'.repeat(100_000)}"`,
    '\uFEFF{}',
  ),
  fc.json(),
  fc.string({ unit: 'binary', maxLength: 200 }),
)

/** A good body with one to three of its values, however deep, made hostile; sometimes left as it is. */
export function harmed(good: unknown): fc.Arbitrary<string> {
  const places = placesIn(good)
  return fc.array(fc.tuple(fc.nat(Math.max(0, places.length - 1)), hostile), { maxLength: 3 }).map((harms) => {
    const copy = structuredClone(good)
    for (const [i, value] of harms) {
      const path = places[i]
      if (path) putAt(copy, path, structuredClone(value))
    }
    return JSON.stringify(copy) ?? ''
  })
}

type Path = (string | number)[]
function placesIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path].filter((one) => one.length > 0)
  return [
    ...(path.length > 0 ? [path] : []),
    ...Object.keys(value)
      .slice(0, 40)
      .flatMap((key) =>
        placesIn((value as Record<string, unknown>)[key], [...path, Array.isArray(value) ? Number(key) : key]),
      ),
  ]
}

function putAt(root: unknown, path: Path, value: unknown): void {
  let at = root as Record<string | number, unknown>
  for (const key of path.slice(0, -1)) {
    if (typeof at[key] !== 'object' || at[key] === null) return
    at = at[key] as Record<string | number, unknown>
  }
  at[path.at(-1)!] = value
}
