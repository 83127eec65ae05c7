<script setup lang="ts">
/** The frame: conditions strip, work rail, sheet. */
const { opened, typedAhead } = useFrame()
const bench = useBench()
onMounted(() => void bench.start())
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <a href="#sheet" class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2"
      >To the sheet</a
    >
    <FrameStrip />
    <div class="flex flex-1 flex-col md:flex-row">
      <FrameRail :narrow="bench.burning" />
      <main id="sheet" class="min-w-0 flex-1 p-3 md:p-4">
        <slot />
      </main>
    </div>
    <!-- Photos in the dark: luminance in the ink's colour, so that none is brighter than the ink. -->
    <svg width="0" height="0" class="absolute" aria-hidden="true">
      <filter id="dark-photo" color-interpolation-filters="sRGB">
        <feColorMatrix values="0.157 0.527 0.053 0 0  0.105 0.353 0.036 0 0  0.045 0.150 0.015 0 0  0 0 0 1 0" />
      </filter>
    </svg>
    <LazyFrameFind v-if="opened === 'find'" :typed-ahead="typedAhead" @close="opened = null" />
    <LazyFrameKeys v-if="opened === 'keys'" @close="opened = null" />
  </div>
</template>
