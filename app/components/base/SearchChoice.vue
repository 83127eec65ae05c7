<script setup lang="ts">
import { Combobox, ComboboxInput } from '@headlessui/vue'

/** One of many, found by any of its words as they are typed, or in the list that a press opens. */
defineOptions({ inheritAttrs: false })
const props = defineProps<{
  choices: readonly { value: string; label: string }[]
  empty?: string
  /** It was wanted before it was there: it has the focus, and what was typed meanwhile. */
  begun?: SearchBegun | null
}>()
const chosen = defineModel<string | null>({ required: true })
/** Something was chosen, were it what stood before; or it was left. */
const emit = defineEmits<{ done: []; left: [] }>()
const words = ref('')
const box = useTemplateRef<HTMLElement>('box')
const all = computed(() => withEmpty(props.choices, props.empty))
const found = computed(() => narrowed(all.value, words.value, (one) => one.label))
const attrs = useAttrs()
/** The box is as wide as it is asked to be, what is typed in fills it. */
const own = computed(() => ({ ...attrs, class: undefined }))
const labelOf = (value: unknown) => all.value.find((one) => one.value === value)?.label ?? ''
/** Enter, or a press on an entry: what is only left, Headless UI would take too. */
const isMeant = ref(false)
const steadyEnter = useSteadyEnter()
const noteKey = (event: KeyboardEvent) => {
  const isHeldBack = steadyEnter(event)
  isMeant.value = event.key === 'Enter' && !isHeldBack
}
const notePress = ({ target }: Event) => {
  isMeant.value = (target as Element).closest('[role=option]') !== null
}
function take(value: string) {
  const isOnlyOne = onlyNarrowed(all.value, words.value, (one) => one.label) !== undefined
  words.value = ''
  if (!isMeant.value && !isOnlyOne) return
  chosen.value = value === '' ? null : value
  emit('done')
}
const input = () => box.value!.querySelector('input')!
const press = (key: string) => input().dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }))
/** As the key does. */
const open = () => {
  input().focus()
  press('ArrowDown')
}
onMounted(() => {
  const { begun } = props
  if (!begun) return
  input().focus()
  if (begun.isOpen || begun.text !== '') open()
  typeInto(input(), begun)
  if (begun.isEntered) press('Enter')
})
function blurred() {
  words.value = ''
  emit('left')
}
</script>

<template>
  <div ref="box" class="relative" :class="attrs.class" @keydown.capture="noteKey" @mousedown.capture="notePress">
    <Combobox v-slot="{ open: isOpen }" :model-value="chosen ?? ''" @update:model-value="take">
      <ComboboxInput
        v-bind="own"
        class="w-full pr-9"
        autocomplete="off"
        spellcheck="false"
        placeholder="Choose"
        :display-value="labelOf"
        @change="words = $event.target.value"
        @focus="$event.target.select()"
        @click="isOpen || open()"
        @blur="blurred"
      />
      <button
        type="button"
        class="choice-open"
        tabindex="-1"
        aria-hidden="true"
        @mousedown.prevent
        @click="isOpen || open()"
      />
      <ChoiceOptions v-if="isOpen" :anchor="box" :found="found" />
    </Combobox>
  </div>
</template>
