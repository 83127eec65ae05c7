<script setup lang="ts">
/** The rooms of the kit. */
const rooms = [
  { to: '/kit', label: 'Shelf' },
  { to: '/kit/setups', label: 'Set-ups' },
  { to: '/kit/fuels', label: 'Fuels' },
  { to: '/kit/containers', label: 'Containers' },
  { to: '/kit/places', label: 'Places and people' },
  { to: '/kit/wind', label: 'Wind survey' },
]
const route = useRoute()
const isHere = (to: string) =>
  to === '/kit' ? route.path === '/kit' || route.path.startsWith('/kit/things') : route.path.startsWith(to)
</script>

<template>
  <nav aria-label="Kit" class="no-print mb-3 flex flex-wrap gap-x-5 gap-y-1 border-b border-edge">
    <NuxtLink
      v-for="room in rooms"
      :key="room.to"
      :to="room.to"
      class="py-1.5 no-underline"
      :class="isHere(room.to) ? 'border-b-4 border-rim font-bold text-ink' : ''"
      :aria-current="isHere(room.to) ? 'page' : undefined"
    >
      {{ room.label }}
    </NuxtLink>
  </nav>
</template>
