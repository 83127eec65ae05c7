import type { TypedFields } from '#shared/fields'
import type { TypedRecord } from '#shared/record'

export type RecordFormState = ReturnType<typeof useRecordForm<unknown>>

/**
 * The form of a page over one record of the kit. Saved, a new one has a page of its own; one that stands is read anew
 * and begins again from what was saved.
 */
export function useKitForm<P extends { record: TypedRecord }>(
  { isNew, page, refresh }: Awaited<ReturnType<typeof useRecordPage<P>>>,
  options: {
    /** The room of the kit, which is also its service's name. */
    room: string
    blank: () => TypedFields
    /** What is sent beside the fields. */
    extra?: () => object
    takeExtra?: (extra: object) => void
    /** Once saved: what the page keeps beside the form begins again too. */
    restarted?: () => void
  },
) {
  const form = useRecordForm<P>({
    url: (id) => `/api/kit/${options.room}/${id}`,
    start: () => page.value?.record ?? newRecord(options.blank()),
    extra: options.extra,
    takeExtra: options.takeExtra,
    saved: async (saved) => {
      if (isNew) return navigateTo(`/kit/${options.room}/${saved.record.id}`)
      await refresh()
      form.restart()
      options.restarted?.()
    },
  })
  return form
}
