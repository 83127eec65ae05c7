<template>
  <div class="flex min-h-screen flex-col md:flex-row">
    <FrameRail />
    <main id="sheet" class="min-w-0 flex-1 p-4">
      <slot />
    </main>
  </div>
</template>
