<script setup lang="ts">
/** A search choice at rest: what stands chosen. The list that is searched comes with the first touch of it. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ choices: readonly { value: string; label: string }[]; empty?: string }>()
const chosen = defineModel<string | null>({ required: true })
const attrs = useAttrs()
const own = computed(() => ({ ...attrs, class: undefined }))
const all = computed(() => withEmpty(props.choices, props.empty))
const label = computed(() => all.value.find((one) => one.value === (chosen.value ?? ''))?.label ?? '')
const rest = useTemplateRef<HTMLInputElement>('rest')
const searched = shallowRef<Awaited<ReturnType<typeof searchChoice>> | null>(null)
const asked = { isEntered: false, isOpen: false }
const begun = shallowRef<SearchBegun | null>(null)
async function wake() {
  const list = await searchChoice()
  const input = rest.value
  if (input !== null && document.activeElement === input)
    begun.value = { ...asked, text: input.value === label.value ? '' : input.value }
  searched.value = list
}
function noteKey(event: KeyboardEvent) {
  if (event.key === 'Enter') event.preventDefault()
  asked.isEntered ||= event.key === 'Enter'
  asked.isOpen ||= event.key.startsWith('Arrow')
}
/** Before the list was there. */
function left() {
  if (searched.value !== null) return
  const [typed, stood] = [rest.value!.value, label.value]
  const meant = typed === stood ? undefined : onlyNarrowed(all.value, typed, (one) => one.label)
  if (meant) chosen.value = meant.value === '' ? null : meant.value
  else rest.value!.value = stood
}
function pressed() {
  asked.isOpen = true
  rest.value!.focus()
}
</script>

<template>
  <component
    :is="searched"
    v-if="searched"
    v-bind="attrs"
    v-model="chosen"
    :choices="choices"
    :empty="empty"
    :begun="begun"
  />
  <div v-else class="relative" :class="attrs.class" @mousedown.prevent="pressed">
    <input
      v-bind="own"
      ref="rest"
      class="w-full pr-9"
      role="combobox"
      aria-autocomplete="list"
      aria-expanded="false"
      autocomplete="off"
      spellcheck="false"
      placeholder="Choose"
      :value="label"
      @focus="(rest!.select(), wake())"
      @blur="left"
      @keydown="noteKey"
    />
    <span class="choice-open" aria-hidden="true" />
  </div>
</template>
