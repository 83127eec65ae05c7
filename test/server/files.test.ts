/**
 * Files that are small and would stop a server: each is refused in words, quickly, or read for what it is; hostile on
 * purpose, made here.
 */
import { performance } from 'node:perf_hooks'
import { describe, expect, it } from 'vitest'
import ExcelJS from 'exceljs'
import { readFile } from '../../server/import/readFile'
import { stagedFrom } from '../../server/import/stagedFile'
import { guessChannels } from '../../shared/tableImport/guessChannels'
import { readChannels } from '../../shared/tableImport/traceMapping'
import { guessTraceMapping, parseTraceRows } from '../../core/formats/parseTrace'
import { answerCsv } from '../../shared/answerCsv'
import { asText, fromText } from '../../shared/runTable'

const said = async (name: string, text: string | Buffer) => {
  const read = await readFile(name, Buffer.from(text as string))
  return read.ok ? read.value : `${read.problem.what}: ${read.problem.got ?? ''}, ${read.problem.limit ?? ''}`
}

async function workbook(fill: (sheet: ExcelJS.Worksheet) => void): Promise<Buffer> {
  const book = new ExcelJS.Workbook()
  fill(book.addWorksheet('Runs'))
  return Buffer.from(await book.xlsx.writeBuffer())
}

describe('one limit of cells, columns and lengths, whatever the format', () => {
  const wide = 600
  it.each([
    [
      'JSON of 100 000 keys',
      'a.json',
      JSON.stringify([Object.fromEntries(Array.from({ length: 100_000 }, (_, i) => [`k${i}`, 1]))]),
      /columns, at most 500/,
    ],
    [
      '10 000 rows with keys of their own',
      'a.json',
      JSON.stringify(Array.from({ length: 10_000 }, (_, i) => ({ [`k${i}`]: 1 }))),
      /columns, at most 500/,
    ],
    ['a row of 600 cells', 'a.csv', `${'a,'.repeat(wide)}b\n1\n`, /Row 1 of a\.csv: 601 columns, at most 500/],
    ['fifteen megabytes of rows of one letter', 'a.csv', 'a\n'.repeat(7_500_000), /more than 4 million cells/],
    [
      'fifteen megabytes of quotation marks',
      'a.csv',
      '"'.repeat(15_000_001),
      /characters, at most 20000|quotation mark/,
    ],
    [
      'fifteen megabytes of pairs of quotation marks',
      'a.csv',
      '"'.repeat(15_000_000),
      /Row 1 of a\.csv: more than 20000 characters between quotation marks/,
    ],
    [
      'a quotation mark that is never closed, in row 3 of many',
      'a.csv',
      `a,b\n1,2\n"1,2\n${'1,2\n'.repeat(500_000)}`,
      /Row 3 of a\.csv: a quotation mark that is opened and never closed/,
    ],
    [
      'one cell of 20 MB',
      'a.csv',
      `a,b\n1,${'x'.repeat(20_000_000)}\n`,
      /Row 2, column 2 of a\.csv: 20000000 characters/,
    ],
    ['one cell of 20 MB as JSON', 'a.json', JSON.stringify([{ a: 'x'.repeat(20_000_000) }]), /20000000 characters/],
  ])('%s', async (_, name, text, words) => {
    const begun = performance.now()
    expect(await said(name, text)).toMatch(words)
    // Refused as soon as it is too much: generous for a machine that others use.
    expect(performance.now() - begun).toBeLessThan(5_000)
  })

  it('a workbook with one cell far out is told so; empty cells as far out are not filled up to', async () => {
    const far = await workbook((sheet) => {
      sheet.getCell('A1').value = 'water'
      sheet.getCell('XFD2').value = 1
    })
    expect(await said('a.xlsx', far)).toMatch(/Row 2 of a\.xlsx: 501 columns, at most 500/)
    const formatted = await workbook((sheet) => {
      sheet.addRow(['water', 'start'])
      sheet.addRow([500, 20])
      sheet.getCell('XFD3').font = { bold: true }
    })
    expect(await said('a.xlsx', formatted)).toMatchObject({
      sheets: [{ rows: [['water', 'start'], ['500', '20'], []] }],
    })
  })
})

it('text is kept in one form: composed, without NUL or lone surrogates', async () => {
  const staged = await stagedFrom('a.json', Buffer.from('[{"notes":"Cafe\u0301 \\u0000 \\ud800"},{"notes":"b"}]'))
  const chunk = staged.ok ? Buffer.from(staged.value.chunks[0]!.json).toString() : ''
  expect(JSON.parse(chunk)).toEqual([['notes'], ['Café \uFFFD \uFFFD'], ['b']])
})

describe('ends of lines', () => {
  const rows = [
    ['a', 'b'],
    ['1', '2'],
    ['3', '4'],
    ['5', '6'],
  ]
  it.each([
    ['\n', false],
    ['\r\n', false],
    ['\r', false],
  ])('of one kind, %j', async (end, mixed) => {
    expect(await said('a.csv', rows.map((row) => row.join(',')).join(end))).toMatchObject({
      sheets: [{ rows }],
      notes: mixed ? [expect.any(String)] : [],
    })
  })
  it('of two kinds are each an end, and it is said', async () => {
    expect(await said('a.csv', 'a,b\r\n1,2\r3,4\r\n5,6\r\n')).toMatchObject({
      sheets: [{ rows }],
      notes: [expect.stringContaining('more than one way')],
    })
  })
})

describe('a logger that counts from 1970', () => {
  // Unix time, seconds and milliseconds since 1970-01-01T00:00:00Z: POSIX.1-2017, 4.16.
  const begun = Date.UTC(2026, 4, 1, 10) / 1000
  const table = (factor: number, heading: string) => [
    [heading, 'Water (°C)'],
    ...[0, 60, 120].map((s) => [String((begun + s) * factor), String(20 + s / 2)]),
  ]
  it.each([
    [1, 'time', 'seconds'],
    [1000, 'time', 'milliseconds'],
    [1000, 'timestamp_ms', 'milliseconds'],
  ])('×%d under "%s" is read as %s', (factor, heading, format) => {
    const rows = table(factor, heading)
    const guessed = guessChannels(rows)!
    expect(guessed.time).toBe(format)
    expect(readChannels(rows, guessed)).toMatchObject({
      ok: true,
      value: {
        channels: [
          {
            channel: 'water',
            samples: [
              [0, 20],
              [60, 50],
              [120, 80],
            ],
          },
        ],
      },
    })
    const trace = guessTraceMapping(rows)!
    expect(parseTraceRows(rows, trace)).toMatchObject({
      ok: true,
      value: {
        samples: [
          [0, 20],
          [60, 50],
          [120, 80],
        ],
      },
    })
  })
  it('read in the wrong unit is longer than any burn, and told', () => {
    const rows = table(1000, 'time')
    expect(readChannels(rows, { ...guessChannels(rows)!, time: 'minutes' })).toMatchObject({
      ok: false,
      problem: { code: 'too-long' },
    })
  })
})

describe('a text that a spreadsheet would work out', () => {
  // OWASP, "CSV Injection": a cell that begins with = + - @ tab or return, also after white space or another separator;
  // full-width forms, from memory.
  it.each([
    '=1+1',
    '+1',
    '-1',
    '@sum',
    '\t=1',
    '\r=1',
    ' =1',
    '\n=1',
    ';=1',
    '\u00A0=1',
    '\uFEFF=1',
    '＝1',
    '＋1',
    '－1',
    '＠a',
    "'=1",
    "' =1",
  ])('%j is written as text, and comes back as it was', (cell) => {
    expect(asText(cell)).toBe(`'${cell}`)
    expect(fromText(asText(cell) as string)).toBe(cell)
    expect(answerCsv({ runs: [{ id: cell, error: 'x' }] } as never)).toContain(`'${cell}`)
  })
  it('others stay as they are', () => {
    expect(['wet', 'a=b', '5 - 3', "'quoted", ' a'].map((cell) => [asText(cell), fromText(cell)])).toEqual(
      ['wet', 'a=b', '5 - 3', "'quoted", ' a'].map((cell) => [cell, cell]),
    )
  })
})
