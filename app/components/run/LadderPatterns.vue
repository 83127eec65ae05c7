<template>
  <!-- Fills by basis: measured here is solid, own series hatched, assumed dotted, a class default only outlined. -->
  <svg width="0" height="0" class="absolute" aria-hidden="true">
    <defs>
      <pattern id="ladder-hatched" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="3" height="6" class="fill-rim" />
      </pattern>
      <pattern id="ladder-dotted" width="5" height="5" patternUnits="userSpaceOnUse">
        <circle cx="2.5" cy="2.5" r="1.5" class="fill-rim" />
      </pattern>
    </defs>
  </svg>
</template>
