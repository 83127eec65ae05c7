/** Names that the bench's parts share. */
export type BenchLayout = 'one' | 'column' | 'cell' | 'phone'
export const BENCH_ACTS = [
  { name: 'feed', words: 'Feed', key: 'feed' },
  { name: 'lid', words: 'Lid', key: 'lid' },
  { name: 'setting', words: 'Setting', key: 'setting' },
  { name: 'knock', words: 'Knock', key: 'knock' },
  { name: 'note', words: 'Note', key: 'note' },
  { name: 'photo', words: 'Photo', key: 'photo' },
] as const
export type BenchPanelName = 'feed' | 'setting' | 'note' | 'giveUp'
export type BenchActName = (typeof BENCH_ACTS)[number]['name'] | 'giveUp' | 'flameOut' | 'undo' | 'earlier' | 'later'

/** As many lanes as stand there decide how large each is. */
export const layoutFor = (lanes: number): BenchLayout => (lanes <= 1 ? 'one' : lanes <= 3 ? 'column' : 'cell')
