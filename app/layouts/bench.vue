<script setup lang="ts">
/** The frame beside the flame: strip, a narrow rail, and the whole rest for the lanes. */
const { opened, typedAhead } = useFrame()
</script>

<template>
  <div class="flex min-h-screen flex-col">
    <a href="#sheet" class="sr-only focus:not-sr-only focus:absolute focus:z-30 focus:bg-sheet focus:p-2"
      >To the sheet</a
    >
    <FrameStrip />
    <div class="flex flex-1 flex-col md:flex-row">
      <FrameRail narrow />
      <main id="sheet" class="min-w-0 flex-1">
        <slot />
      </main>
    </div>
    <LazyFrameFind v-if="opened === 'find'" :typed-ahead="typedAhead" @close="opened = null" />
    <LazyFrameKeys v-if="opened === 'keys'" @close="opened = null" />
  </div>
</template>
