<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'

/** What is dear to draw, made when one comes near it. Its place is kept, so that nothing moves. */
const props = defineProps<{
  /** Or when the page has nothing else to do: it may be printed unseen. */ soon?: boolean
}>()
const box = useTemplateRef<HTMLElement>('box')
const seen = ref(false)
const { stop } = useIntersectionObserver(
  box,
  ([entry]) => {
    if (entry?.isIntersecting) see()
  },
  { rootMargin: '120px' },
)
function see() {
  seen.value = true
  stop()
}
onMounted(() => {
  // Not every browser says when it is idle.
  if (props.soon && 'requestIdleCallback' in window) requestIdleCallback(see, { timeout: 4000 })
  else if (props.soon) setTimeout(see, 4000)
})
</script>

<template>
  <div ref="box"><slot v-if="seen" /></div>
</template>
