import type { DraftBody } from '#shared/draft'

/** Whether anything was typed that would be a loss. */
export function isPristine({ typed, lane }: DraftBody): boolean {
  const typedTimes = Object.entries(typed.times).some(
    ([kind, text]) => text.trim() !== '' && !((kind === 'potOn' || kind === 'lit') && text === '0:00'),
  )
  return (
    !Object.values(typed.measured).some((text) => text.trim() !== '') &&
    !typedTimes &&
    typed.notes.trim() === '' &&
    typed.trace.length === 0 &&
    (lane === null || lane.marks.length === 0)
  )
}
