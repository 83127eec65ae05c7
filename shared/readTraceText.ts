/** A pasted or opened table of a logger, as rows of cells. */
import Papa from 'papaparse'
import { plainLines } from '../core/formats/lineEnds'
import { fail, ok, type R } from '../core/result'

export const MAX_TRACE_BYTES = 20_000_000

/** Commas, semicolons or tabs, with a byte-order mark or without. */
export function readTraceText(text: string): R<string[][]> {
  if (text.length > MAX_TRACE_BYTES)
    return fail({
      code: 'too-large',
      what: 'The table',
      got: `${(text.length / 1e6).toFixed(1)} MB`,
      limit: `at most ${MAX_TRACE_BYTES / 1e6} MB`,
      hint: 'Bring the part of this run alone. What you typed is kept.',
    })
  const clean = text.replace(/^\uFEFF/, '')
  if (clean.trim() === '')
    return fail({ code: 'empty', what: 'The table is empty', hint: 'Choose another file, or paste its rows.' })
  const { data } = Papa.parse<string[]>(plainLines(clean).text, {
    newline: '\n',
    skipEmptyLines: 'greedy',
    delimitersToGuess: ['\t', ';', ',', '|'],
  })
  return ok(data)
}
