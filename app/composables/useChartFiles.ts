/** The ways to take a chart along: as lines, as pixels, as a table; and what became of it. */
export function useChartFiles<T>(props: {
  file: string
  rows: readonly T[]
  columns: readonly DataColumn<T>[]
  drawing: () => string
}) {
  const said = ref('')
  const save = (blob: Blob, kind: string) => {
    saveBlob(blob, `${props.file}.${kind}`)
    said.value = `Written: ${props.file}.${kind}`
  }
  const drawn = async (as: (svg: string) => Blob | Promise<Blob>, kind: string) => save(await as(props.drawing()), kind)
  async function table(): Promise<string> {
    const { tableText } = await import('~/utils/tableText')
    return tableText(props.columns, props.rows)
  }
  const files = [
    {
      words: 'SVG',
      about: 'Lines, for print',
      act: () => drawn((svg) => new Blob([svg], { type: 'image/svg+xml' }), 'svg'),
    },
    { words: 'PNG', about: 'A picture, for a page', act: () => drawn(pngOf, 'png') },
    {
      words: 'CSV',
      about: 'Its numbers as a table',
      act: async () => save(new Blob([await table()], { type: 'text/csv' }), 'csv'),
    },
  ]
  return { said, files }
}
