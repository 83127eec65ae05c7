<script setup lang="ts">
/** One file that is brought in: how it is read, how far storing it is, and undoing it. */
useHead({ title: 'Bring runs in · Vulcanum' })
const route = useRoute()
const id = String(route.params.id)
const { page, error, again } = await useImport(id)
const runId = typeof route.query.run === 'string' ? route.query.run : ''
</script>

<template>
  <div class="grid max-w-6xl grid-cols-1 gap-4">
    <p><NuxtLink to="/runs/import">Bring another in</NuxtLink></p>
    <BaseAlert v-if="error || !page">
      {{ error?.data?.problems?.[0]?.text ?? 'This could not be read. Check that Vulcanum is running, then reload.' }}
    </BaseAlert>
    <template v-else>
      <h1 dir="auto">
        {{ page.fileName }}
      </h1>
      <ImportStored v-if="page.state === 'stored' || page.state === 'undone'" :page="page" @changed="again" />
      <BasePanel v-else-if="page.state === 'storing'" label="Being stored">
        <p>Storing it: {{ page.done.toLocaleString('en') }} of {{ page.rows.toLocaleString('en') }} rows</p>
        <BaseProgress label="Rows stored" :done="page.rows > 0 ? page.done / page.rows : 0" />
        <p class="text-ink-2">You can leave this page; it goes on. All of it is stored, or nothing.</p>
      </BasePanel>
      <ClientOnly v-else>
        <ImportMapping :page="page" :run-id="runId" @begun="again" />
      </ClientOnly>
    </template>
  </div>
</template>
