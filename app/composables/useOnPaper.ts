import { useEventListener } from '@vueuse/core'

/** Puts a drawing where it stands on paper, just before the page is printed. */
export function useOnPaper(place: Readonly<Ref<HTMLElement | null>>, drawing: () => string) {
  useEventListener('beforeprint', () => {
    if (place.value) place.value.innerHTML = drawing()
  })
  useEventListener('afterprint', () => {
    if (place.value) place.value.innerHTML = ''
  })
}
