<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import type { PairedDevice, ShareState } from '#shared/share'
import { ask } from '~/api/send'

/**
 * A second device: the address to photograph, the code to type there, who asks to be let in, and who was. Pairing is
 * open while this page is.
 */
useHead({ title: 'A second device · Vulcanum' })
const { data, error, refresh } = await useFetch<ShareState>('/api/share')
const pairing = computed(() => data.value?.shared?.pairing ?? null)
const asking = computed(() => pairing.value?.asking ?? [])

const openPairing = async () => {
  const sent = await ask<ShareState>('/api/share/pairing', { method: 'POST' })
  if (sent.ok) data.value = sent.value
}
onMounted(() => {
  if (data.value?.shared) void openPairing()
})
onBeforeUnmount(() => {
  if (data.value?.shared) void ask('/api/share/pairing', { method: 'DELETE' })
})
// A device that asks, or a code that ends, shows here without a reload; and pairing stays open only while this is asked
// for.
useIntervalFn(() => void refresh(), 2000)

async function answer(id: string, yes: boolean) {
  const sent = await ask<ShareState>(`/api/share/pairing/${id}`, { method: 'POST', body: { yes } })
  if (sent.ok) data.value = sent.value
  else await refresh()
}
async function forget(device: PairedDevice) {
  await ask(`/api/share/devices/${device.id}`, { method: 'DELETE' })
  await refresh()
}
</script>

<template>
  <div class="max-w-3xl">
    <h1 class="mb-3">A second device</h1>
    <BaseAlert v-if="error"> The server did not answer. Check that Vulcanum is running, then reload. </BaseAlert>
    <BasePanel v-else-if="data && !data.shared">
      <p>
        This Vulcanum answers this machine alone. To use a phone or a second computer beside the flame, stop it and
        start it so:
      </p>
      <p class="figures my-3 text-base">npm start -- --share</p>
      <p class="text-ink-2">
        It is then open to devices on the same network that you let in by a code; to no others, and to nothing outside.
      </p>
    </BasePanel>
    <template v-else-if="data?.shared">
      <ShareAsking :asking="asking" @answer="answer" />
      <BasePanel class="grid gap-6 md:grid-cols-[240px_minmax(0,1fr)]">
        <div>
          <figure v-for="one in data.shared.addresses" :key="one.url" class="mb-3">
            <img
              class="qr photo"
              :src="`data:image/svg+xml;utf8,${encodeURIComponent(one.qr)}`"
              :alt="`The address ${one.url} as a picture`"
            />
            <figcaption class="figures break-all">
              {{ one.url }}
            </figcaption>
          </figure>
          <p v-if="!data.shared.addresses.length" class="font-bold">This machine is on no network.</p>
        </div>
        <div>
          <ShareCode :pairing="pairing" @open="openPairing" />
          <h2 class="mt-4">Without trusting the certificate</h2>
          <p>
            Marks, readings and clocks work. What is lost: the Bench does not open there while this machine cannot be
            reached (what was pressed before is kept all the same), and the screen may go dark by itself. Installing the
            certificate on the device brings both back.
          </p>
        </div>
      </BasePanel>
    </template>
    <section v-if="data?.devices.length" class="mt-4" aria-label="Devices let in">
      <h2 class="mb-1">Let in</h2>
      <ul>
        <li v-for="device in data.devices" :key="device.id" class="flex items-center gap-3 border-b border-edge py-1">
          <span class="min-w-0 flex-1" dir="auto">{{ device.name }}</span>
          <BaseButton :aria-label="`Forget ${device.name}`" @click="forget(device)"> Forget it </BaseButton>
        </li>
      </ul>
    </section>
  </div>
</template>
