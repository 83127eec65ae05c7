<script setup lang="ts">
import type { OpenPairing } from '#shared/share'

/** The code while pairing is open, and the way to open it again. */
const { pairing } = defineProps<{ pairing: OpenPairing | null }>()
defineEmits<{ open: [] }>()
const clock = useClock()
const secondsLeft = computed(() =>
  pairing === null ? 0 : Math.max(0, Math.floor((pairing.untilMs - clock.value) / 1000)),
)
</script>

<template>
  <div>
    <template v-if="pairing">
      <p>
        Photograph the picture with the other device, or open the address there, on the same network. It will warn that
        it does not know the certificate: it was made by this machine for itself. Go on. If it asks for a code, type
        this one:
      </p>
      <p class="figures my-3 text-4xl tracking-widest" data-code>
        {{ pairing.code.slice(0, 4) }} {{ pairing.code.slice(4) }}
      </p>
      <p class="text-ink-2">
        Good for one device, {{ secondsLeft }} more seconds, while this page is open. The device then waits until you
        let it in here.
      </p>
    </template>
    <template v-else>
      <p>No device can be let in now: the code was good for two minutes.</p>
      <BaseButton kind="main" class="my-3" @click="$emit('open')">Show another code</BaseButton>
    </template>
  </div>
</template>
