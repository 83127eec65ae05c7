/** Tables as people keep them: what is told from them, what is asked, and what is wrong with a row. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { momentAt, plainNumber, readDate } from '../../core/formats/tableCells'
import { parseNumber } from '../../core/quantity/parseNumber'
import { guessMapping, asksDateOrder, askedDecimal, asksUnit } from '../../shared/tableImport/guess'
import { readHeading, targetOfHeading } from '../../shared/tableImport/header'
import { MINUTES_DOT_SECONDS, type TableMapping } from '../../shared/tableImport/mapping'
import { readRow } from '../../shared/tableImport/readRow'
import { asText, fromText, TABLE_COLUMNS, tableRowOf, type TableRecord } from '../../shared/runTable'
import { guessChannels } from '../../shared/tableImport/guessChannels'
import { readChannels } from '../../shared/tableImport/traceMapping'
import { decodeText } from '../../server/import/decodeText'
import { readFile } from '../../server/import/readFile'
import { proofs } from '../proofs'

const NOW = Date.parse('2026-11-01T12:00:00Z')
const table = (text: string) =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split(';').map((cell) => cell.trim()))
function read(text: string, change: Partial<TableMapping> = {}) {
  const rows = table(text)
  const mapping = { ...guessMapping(rows, { zone: 'Atlantic/Azores' }), ...change }
  return { mapping, rows: rows.slice(mapping.headerRow + 1).map((cells) => readRow(cells, mapping, NOW)) }
}
const valueOf = (outcome: ReturnType<typeof readRow>, quantity: string) =>
  outcome.ok ? outcome.row.read.measurements.find((one) => one.quantity === quantity)?.value : outcome.problems

describe('what a heading says', () => {
  // Common practice, no source: headings as testers write them.
  it.each([
    ['Fuel before [g]', 'measured.fuelBefore', 'g'],
    ['start_temp_F', 'measured.waterStart', 'degF'],
    ['Wind (m/s)', 'measured.wind', 'mps'],
    ['Boil time, min', 'times.rollingBoil', 'min'],
    ['Water volume (fl oz)', 'measured.water', 'floz'],
    ['Elevation ft', 'measured.altitude', 'ft'],
    ['Fuel (g)', 'measured.fuelUsed', 'g'],
    ['Fuel', 'fuel', ''],
    ['Stove', 'setup', ''],
    ['Tester', 'person', ''],
    ['Station pressure [hPa]', 'measured.stationPressure', 'hPa'],
    ['RH %', 'measured.humidity', 'pct'],
  ])('%s', (heading, key, unit) => {
    const rows = [
      [heading, 'Start temp (°C)', 'Notes'],
      ['x', '1', 'y'],
    ]
    expect(targetOfHeading(readHeading(heading))?.key).toBe(key)
    expect(guessMapping(rows, { zone: 'UTC' }).columns[0]).toEqual({ to: key, unit })
  })

  it('every column of an exported table is read as what it is, or is a figure that is worked out anew', () => {
    const { columns } = guessMapping([TABLE_COLUMNS.map((column) => column.header), []], { zone: 'UTC' })
    const lost = TABLE_COLUMNS.filter(
      (column, i) =>
        columns[i]!.to === '' &&
        !column.key.startsWith('figure.') &&
        column.key !== 'origin' &&
        column.key !== 'container',
    ).map((column) => column.header)
    expect(lost).toEqual([])
  })
})

describe('what cannot be told is asked', () => {
  it.each(['point', 'comma'] as const)('decimal mark %s', (mark) => {
    const of = { point: ['1,234', '0.5', '1,234.5', '12.7'], comma: ['1.234', '0,5', '1.234,5', '12,7'] }[mark]
    expect(of.map((cell) => parseNumber(plainNumber(cell, mark)))).toEqual([1234, 0.5, 1234.5, 12.7])
    // Neither mark makes anything else of what can be read one way only.
    expect(['12.7', '12,7'].map((cell) => parseNumber(plainNumber(cell, mark)))).toEqual([12.7, 12.7])
  })

  it('a decimal mark that nothing in the table shows', () => {
    const text = 'Date;Stove;Altitude (m);Water (g)\n2026-05-01;a;1,200;473'
    expect(askedDecimal(table(text).slice(1), read(text).mapping.columns)).toBe('')
    const [row] = read(text).rows
    expect(row!.ok === false && row!.problems[0]!.text).toMatch(/A thousand, or three decimals/)
    expect(askedDecimal([['', '', '1,200', '473.5']], read(text).mapping.columns)).toBe('point')
  })

  it.each([
    ['dmy', '2026-04-03'],
    ['mdy', '2026-03-04'],
    ['ymd', '2003-04-26'],
  ] as const)('a date, %s', (order, day) => {
    const [year, month, date] = day.split('-').map(Number)
    expect(readDate('03/04/26', order)).toMatchObject({ year, month, day: date })
    const { mapping, rows } = read('Date;Stove;Water (g)\n03/04/26;a;473')
    expect(asksDateOrder([['03/04/26']], mapping.columns)).toBe(true)
    expect(rows[0]!.ok === false && rows[0]!.problems[0]!.text).toMatch(/more than one order/)
  })

  it('a date of another order than was said, and one in the future, are faults of their row', () => {
    const { rows } = read(
      'Date;Stove;Water (g);Boil\n14/03/2026;a;473;3:10\n03/14/2026;a;473;3:10\n01/12/2026;a;473;3:10',
      { dateOrder: 'dmy' },
    )
    expect(rows.map((row) => (row.ok ? row.row.startedAt : row.problems[0]!.text))).toEqual([
      '2026-03-14T13:00:00.000Z',
      expect.stringContaining('day first'),
      expect.stringContaining('in the future'),
    ])
  })

  it('a unit that neither heading nor cells give; where the cells give it, they are believed', () => {
    const { mapping, rows } = read('Date;Stove;Water;Fuel used\n2026-05-01;a;473;8.1\n2026-05-02;a;2 cups;8.1')
    expect(asksUnit([['', '', '473', '8.1']], mapping.columns)).toEqual([2, 3])
    expect(rows[0]!.ok === false && rows[0]!.problems.map((problem) => problem.text).join()).toMatch(/Say which unit/)
    // Two US cups, NIST SP 811: 2 × 236.588 2365 mL.
    const said = read('Date;Stove;Water;Boil\n2026-05-02;a;2 cups;3:10')
    expect(valueOf(said.rows[0]!, 'water')).toBeCloseTo(473.176473e-6, 12)
    expect(
      read('Date;Stove;Start temp;Boil\n2026-05-02;a;60;3:10\n2026-05-02;a;61;3:10\n2026-05-02;a;62;3:10').mapping
        .columns[2],
    ).toEqual({ to: 'measured.waterStart', unit: 'degF' })
  })

  it('a stop-watch’s minutes and seconds written with a point', () => {
    const columns = (unit: string): TableMapping['columns'] => [
      { to: 'day', unit: '' },
      { to: 'setup', unit: '' },
      { to: 'times.rollingBoil', unit },
    ]
    const boil = (cell: string, unit: string) => {
      const [row] = read(`Date;Stove;Boil\n2026-05-02;a;${cell}`, { columns: columns(unit) }).rows
      return row!.ok ? row!.row.read.events.find((event) => event.kind === 'rollingBoil')!.atMs / 1000 : null
    }
    expect([
      boil('5.12', MINUTES_DOT_SECONDS),
      boil('5.12', 'min'),
      boil('5.75', MINUTES_DOT_SECONDS),
      boil('5.1', MINUTES_DOT_SECONDS),
    ]).toEqual([312, 307.2, null, null])
  })
})

it('a messy table: title rows, decimal commas, a row swapped, a row of words, a row of nothing', () => {
  const { mapping, rows } = read(`Porch tests;;;;;;
;;;;;;
Date;Stove;Water (mL);Start temp;Fuel before (g);Fuel after (g);Boil
2026-03-14;a;500;17,2 °C;212,4;205,1;3:48
2026-03-15;a;500;17,2 °C;40,0;42,5;3:48
2026-03-16;a;half;17,2 °C;40,0;38,5;3:48`)
  expect(mapping.headerRow).toBe(2)
  expect(mapping.decimal).toBe('comma')
  expect([valueOf(rows[0]!, 'fuelBefore'), valueOf(rows[0]!, 'water'), valueOf(rows[0]!, 'waterStart')]).toEqual([
    0.2124, 500e-6, 17.2,
  ])
  expect(rows.slice(1).map((row) => (row.ok ? [] : row.problems))).toEqual([
    [{ column: 5, text: expect.stringContaining('Swapped?') }],
    [{ column: 2, text: expect.stringContaining('"half"') }],
  ])
})

describe('laws', () => {
  it('text written so that no spreadsheet runs it comes back as it was', () => {
    const texts = fc.oneof(
      fc.string(),
      fc.array(fc.constantFrom("'", '=', '+', '-', '@', 'a'), { maxLength: 5 }).map((all) => all.join('')),
    )
    fc.assert(
      fc.property(texts, (text) => {
        const written = asText(text) as string
        expect(/^[=+\-@\t\r]/.test(written)).toBe(false)
        expect(fromText(written)).toBe(text)
      }),
    )
  })

  it('a moment shown on the clock of a place is read back, but for the hour that the clock has twice', () => {
    const zones = fc.constantFrom(
      'UTC',
      'Europe/Lisbon',
      'Atlantic/Azores',
      'America/New_York',
      'Asia/Kathmandu',
      'Australia/Lord_Howe',
    )
    fc.assert(
      fc.property(
        zones,
        fc.integer({ min: Date.parse('1990-01-01'), max: NOW }).map((ms) => Math.floor(ms / 1000) * 1000),
        (zone, ms) => {
          const shown = (at: number) =>
            new Intl.DateTimeFormat('sv-SE', { timeZone: zone, dateStyle: 'short', timeStyle: 'medium' }).format(at)
          const back = momentAt(readDate(shown(ms), null)!, zone)
          expect(shown(Date.parse(back))).toBe(shown(ms))
        },
      ),
      { numRuns: proofs(1500) },
    )
  })

  it('a quantity typed with its unit reads alike in a cell of its own and under a heading with the unit', () => {
    const grams = fc.integer({ min: 200, max: 20000 }).map((n) => n / 10)
    fc.assert(
      fc.property(grams, (g) => {
        const [own, headed] = [
          read(`Date;Stove;Water;Boil\n2026-05-02;a;${g} g;3:10`),
          read(`Date;Stove;Water [g];Boil\n2026-05-02;a;${g};3:10`),
        ]
        expect(valueOf(own.rows[0]!, 'water')).toBe(valueOf(headed.rows[0]!, 'water'))
      }),
    )
  })
})

describe('a logger’s file', () => {
  const rows = table(
    'Logger v2\ntime;Water (°F);Air (°C);Scale (g);battery\n0;60,8;11,0;212,4;3,9\n2;62,6;---;212,3;3,9\n4;64,4;11,2;212,2;3,9',
  )
  it('of several channels: each in its own unit, on the run’s clock', () => {
    const guessed = guessChannels(rows)!
    expect(guessed.columns.map((column) => column.to)).toEqual(['time', 'water', 'air', 'scale', ''])
    const got = readChannels(rows, { ...guessed, firstAt: '-0:30' })
    expect(got.ok && got.value.channels).toEqual([
      {
        channel: 'water',
        samples: [
          [-30, 16],
          [-28, 17],
          [-26, 18],
        ],
      },
      {
        channel: 'air',
        samples: [
          [-30, 11],
          [-26, 11.2],
        ],
      },
      {
        channel: 'scale',
        samples: [
          [-30, 0.2124],
          [-28, 0.2123],
          [-26, 0.2122],
        ],
      },
    ])
  })

  it('with dates that can be read in more than one order is asked about; with a unit unsaid, too', () => {
    const dated = table('date;probe (°C)\n03/04/2026 10:00:00;12\n03/04/2026 10:00:02;13')
    const guessed = guessChannels(dated)!
    expect(readChannels(dated, guessed)).toMatchObject({ ok: false, problem: { code: 'date-order' } })
    expect(readChannels(dated, { ...guessed, dateOrder: 'mdy' })).toMatchObject({ ok: true })
    expect(
      readChannels(dated, { ...guessed, dateOrder: 'mdy', columns: [guessed.columns[0]!, { to: 'water', unit: '' }] }),
    ).toMatchObject({ ok: false, problem: { code: 'no-unit' } })
  })
})

describe('files that are no tables', () => {
  it('bytes of two encodings in one file are read line by line, and it is said', () => {
    const mixed = Buffer.concat([
      Buffer.from('Ort;°C\n'),
      Buffer.from([0x48, 0xfc, 0x74, 0x74, 0x65, 0x3b, 0xb0, 0x0a]),
    ])
    expect(decodeText(mixed)).toEqual({
      text: 'Ort;°C\nHütte;°\n',
      notes: [expect.stringContaining('One line is not UTF-8')],
    })
    expect(decodeText(Buffer.from('\uFEFFa;b', 'utf16le'))!.text).toContain('a;b')
  })

  it.each([
    ['a zip called .csv', 'runs.csv', Buffer.from('PK\u0003\u0004 and so on'), /zip archive, not a table/],
    ['a broken workbook', 'runs.xlsx', Buffer.from('PK\u0003\u0004 and so on'), /cannot be unpacked/],
    ['a picture', 'runs.csv', Buffer.from([0x89, 0x50, 0x4e, 0x47, 0, 0, 1]), /holds no text/],
    ['nothing', 'runs.csv', Buffer.from(''), /is empty/],
    ['a quotation mark left open', 'runs.csv', Buffer.from('a,b\n"1,2\n3,4'), /quotation mark/],
    ['JSON that is none', 'runs.json', Buffer.from('{"runs": ['), /JSON and is none/],
    ['JSON of another kind', 'runs.json', Buffer.from('{"a": {"b": 1}}'), /no table/],
  ])('%s', async (_, name, bytes, words) => {
    const got = await readFile(name, bytes)
    expect(got.ok ? '' : `${got.problem.what} ${got.problem.got ?? ''}`).toMatch(words)
  })
})

/** A run of which nothing is odd, to try one odd cell with. */
const PLAIN_RUN = {
  water: 500,
  start: 20,
  before: 200,
  used: 10,
  air: 15,
  wind: null,
  humidity: 50,
  altitude: 0,
  lit: 0,
  boil: 300,
  notes: '',
  setting: null,
}

it('law: what an exported table holds of a run is read back as it was', () => {
  const grams = (low: number, high: number) => fc.integer({ min: low * 10, max: high * 10 }).map((n) => n / 10)
  const runs = fc.record({
    water: grams(200, 2000),
    start: grams(1, 30),
    before: grams(100, 300),
    used: grams(1, 50),
    air: grams(-20, 35),
    wind: fc.option(grams(0, 8), { nil: null }),
    humidity: fc.integer({ min: 5, max: 100 }),
    altitude: fc.integer({ min: 0, max: 4000 }),
    lit: fc.integer({ min: 0, max: 60 }),
    boil: fc.integer({ min: 100, max: 2000 }),
    notes: fc.string({ maxLength: 40 }).filter((text) => !/[\p{Cc}]/u.test(text)),
    setting: fc.constantFrom(null, 'low', 'full'),
  })
  fc.assert(
    fc.property(runs, ({ water, start, before, used, air, wind, humidity, altitude, lit, boil, notes, setting }) => {
      const measured: [string, number, string][] = [
        ['water', water / 1000, 'g'],
        ['waterStart', start, 'degC'],
        ['fuelBefore', before / 1000, 'g'],
        ['fuelAfter', (before - used) / 1000, 'g'],
        ['air', air, 'degC'],
        ['humidity', humidity / 100, 'pct'],
        ['altitude', altitude, 'm'],
        ...(wind === null ? [] : [['wind', wind, 'mps'] as [string, number, string]]),
      ]
      const record = {
        id: '019c0000-0000-7000-8000-000000000001',
        startedAt: '2026-03-14T13:00:00.000Z',
        zone: 'Atlantic/Azores',
        origin: 'measured',
        kind: 'boil',
        method: null,
        setup: 'A set-up, with a comma',
        place: null,
        fuel: 'Methanol',
        batch: 'drum 3',
        container: null,
        person: 'Odra Vell',
        setting,
        state: 'finished',
        breakIn: false,
        takeBurnShare: false,
        notes,
        measurements: measured.map(([quantity, value, unit]) => ({
          quantity,
          value,
          unit,
        })),
        events: [
          ['lit', 0],
          ['potOn', lit],
          ['rollingBoil', lit + boil],
        ].map(([kind, s]) => ({ kind, atMs: Number(s) * 1000, reason: null })),
      } as TableRecord
      const cells = TABLE_COLUMNS.map((column) => {
        const cell = asText(column.of(tableRowOf(record, null)))
        return cell === null ? '' : String(cell)
      })
      const rows = [TABLE_COLUMNS.map((column) => column.header), cells]
      const outcome = readRow(cells, guessMapping(rows, { zone: 'UTC' }), NOW)
      if (!outcome.ok) throw new Error(outcome.problems.map((problem) => problem.text).join(' '))
      const back = new Map(outcome.row.read.measurements.map((one) => [one.quantity as string, one.value]))
      for (const [quantity, value] of measured) expect(back.get(quantity), quantity).toBeCloseTo(value, 10)
      expect(outcome.row).toMatchObject({
        startedAt: '2026-03-14T13:00:00.000Z',
        zone: 'Atlantic/Azores',
        setting,
        notes: notes.trim(),
        names: { setup: 'A set-up, with a comma', fuel: 'Methanol', person: 'Odra Vell' },
        batch: 'drum 3',
      })
      expect(outcome.row.read.events.map((event) => [event.kind, event.atMs])).toEqual(
        [
          ['lit', 0],
          ['potOn', lit * 1000],
          ['rollingBoil', (lit + boil) * 1000],
        ].sort((a, b) => Number(a[1]) - Number(b[1])),
      )
    }),
    { numRuns: proofs(1000), examples: [[{ ...PLAIN_RUN, notes: ' -' }]] },
  )
})
