<script setup lang="ts">
import type { FieldSpec } from '#shared/fields'
import { typedFrom } from '#shared/typedFrom'

/** Versions of a record, newest first, each with what differs from the one before it. */
interface Version {
  n: number
  reason: string
  createdAt: string
  runs: number
  values: Record<string, unknown>
}
const props = defineProps<{ versions: readonly Version[]; specs: readonly FieldSpec[] }>()
const words = (spec: FieldSpec, value: unknown) => {
  const text = typedFrom(spec, value)
  return text === true
    ? 'yes'
    : text === false
      ? 'no'
      : spec.type === 'choice'
        ? (spec.choices?.find((one) => one.value === text)?.label ?? (text || 'none'))
        : text || (spec.type === 'text' ? 'none' : 'not measured')
}
const same = (a: unknown, b: unknown) => (a ?? null) === (b ?? null)
const lines = computed(() =>
  props.versions.map((version, i) => {
    const before = props.versions[i + 1]
    return {
      ...version,
      changes:
        before === undefined
          ? []
          : props.specs
              .filter((spec) => !same(version.values[spec.key], before.values[spec.key]))
              .map((spec) => ({
                label: spec.label,
                was: words(spec, before.values[spec.key]),
                now: words(spec, version.values[spec.key]),
              })),
    }
  }),
)
</script>

<template>
  <BasePanel tight title="Versions">
    <ol class="space-y-2">
      <li v-for="line in lines" :key="line.n">
        <span class="font-bold">{{ line.n }}</span>{{ ' ' }}
        <span class="text-ink-2"
          >{{ dateInZone(line.createdAt, 'UTC') }}, {{ line.runs === 1 ? '1 run' : `${line.runs} runs` }}</span
        >{{ ' ' }}
        <span dir="auto">{{ line.reason }}</span>
        <span v-for="change in line.changes" :key="change.label" class="block pl-4"
          >{{ change.label }}: <s class="figures">{{ change.was }}</s> →
          <span class="figures">{{ change.now }}</span></span
        >
      </li>
    </ol>
  </BasePanel>
</template>
