/** What goes wrong in the demonstration's tests. */
import { formatClock } from '../../core/quantity/format'
import { type Notebook, conditions, weighed } from './notebook'

/** What goes wrong, each once. */
export function lessons(book: Notebook): void {
  book.on('2026-08-05', 'store')
  notCold(book)
  lidForgotten(book)
  twoThingsAtOnce(book)
  lateCall(book)
}

function notCold(book: Notebook): void {
  const breakIn = book.burn('pumped', { waterKg: 1 })
  book.write('pumped', 'kerosene', {
    breakIn: true,
    measured: { ...conditions(breakIn), ...weighed(breakIn.usedG + 4) },
    times: { lit: '0:00', bloomed: '1:35', potOn: '1:40', rollingBoil: formatClock(100 + breakIn.raw.boilS!) },
    notes: 'First burn of the new burner: smelled of varnish.',
    seen: { smell: 'room', soot: 'patches' },
  })
  book.boil('pumped', 'kerosene', 'boil', { waterKg: 1, notes: 'A litre: the pot is for the crew.' })
  book.boil('finned', 'gas', 'boil', {
    notes: 'Straight after the last one. The burner was still warm.',
    extra: { hardware: '41 °C' },
  })
}

function lidForgotten(book: Notebook): void {
  const lidOff = book.burn('wideSheltered', { lid: false })
  book.write('wideSheltered', 'gas', {
    fromCanisterG: lidOff.usedG,
    measured: conditions(lidOff),
    times: { potOn: '0:00', rollingBoil: formatClock(lidOff.call(lidOff.raw.boilS!)) },
    notes: 'Lid lay beside the pot the whole time.',
    voided: 'Lid was off the whole time; the set-up has it on.',
  })
}

/** Felt under the lid and another burner at once: which of them was it? */
function twoThingsAtOnce(book: Notebook): void {
  for (let i = 0; i < 2; i++)
    book.boil('gel', 'gel', 'paired', {
      notes: 'Gel in the cup in place of the jet burner, and no cone.',
      untilS: 1500,
    })
  for (let i = 0; i < 2; i++)
    book.boil('spiritCone', 'methanol', 'paired', { notes: 'Against the gel: burner, fuel and screen all differ.' })
}

function lateCall(book: Notebook): void {
  const late = book.burn('wideSheltered', { traced: true, onS: 26 })
  book.write('wideSheltered', 'gas', {
    fromCanisterG: late.usedG,
    measured: conditions(late),
    trace: late.trace,
    times: {
      potOn: '0:00',
      rollingBoil: formatClock(late.raw.boilS! + 24),
      shutOff: formatClock(late.raw.boilS! + 26),
    },
    notes: 'Looked up late.',
  })
}
