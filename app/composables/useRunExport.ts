import type { RunFilter } from '#shared/runList'

/** Runs as a file: those that are picked, else all that are shown. What became of it is said. */
export function useRunExport(picked: Ref<ReadonlySet<string>>, filter: Ref<RunFilter>) {
  const said = ref('')
  const problem = ref('')
  async function download(format: 'csv' | 'xlsx' | 'json') {
    problem.value = ''
    said.value = 'Writing the file.'
    try {
      const blob = await $fetch<Blob>('/api/runs/export', {
        method: 'POST',
        body: picked.value.size > 0 ? { format, runIds: [...picked.value] } : { format, filter: filter.value },
        responseType: 'blob',
      })
      saveBlob(blob, `vulcanum-runs.${format}`)
      said.value = `Written: vulcanum-runs.${format}`
    } catch {
      said.value = ''
      problem.value = 'The file could not be written. Check that Vulcanum is running, and try again.'
    }
  }
  return { said, problem, download }
}
