<script setup lang="ts">
/** The frame: conditions strip, work rail, sheet. */
const { light, nextLight, switchUnits } = usePreferences()
const keys = useKeys()
const margin = useMargin()
useHead({ htmlAttrs: { 'data-light': light } })
keys.on('units', switchUnits)
keys.on('light', nextLight)
keys.on('margin', margin.toggle)
onMounted(() => window.addEventListener('keydown', keys.press))
onUnmounted(() => window.removeEventListener('keydown', keys.press))
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <a href="#sheet" class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2">To the sheet</a>
    <FrameStrip />
    <div class="flex flex-1 flex-col md:flex-row">
      <FrameRail />
      <main id="sheet" class="min-w-0 flex-1 p-3 md:p-4">
        <slot />
      </main>
    </div>
    <FrameFind />
    <FrameKeys />
  </div>
</template>
