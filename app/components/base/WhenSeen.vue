<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'

/** What is dear to draw, made when one comes near it. Its place is kept, so that nothing moves. */
const box = useTemplateRef<HTMLElement>('box')
const seen = ref(false)
const { stop } = useIntersectionObserver(
  box,
  ([entry]) => {
    if (!entry?.isIntersecting) return
    seen.value = true
    stop()
  },
  { rootMargin: '120px' },
)
</script>

<template>
  <div ref="box"><slot v-if="seen" /></div>
</template>
