<template>
  <p class="text-ink-2">These are figures of one bench, not a promise for the field.</p>
</template>
