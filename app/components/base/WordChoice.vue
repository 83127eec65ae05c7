<script setup lang="ts">
/** A word of a sentence that could be another: pressed, it is a list to choose from; chosen or left, a word again. */
const props = defineProps<{
  /** What it says, for those who do not see the sentence. */
  label: string
  choices: readonly { value: string; label: string }[]
  empty?: string
}>()
const chosen = defineModel<string | null>({ required: true })
const word = useTemplateRef<{ $el: HTMLElement }>('word')
const choosing = ref(false)
const said = computed(() => props.choices.find((one) => one.value === chosen.value)?.label ?? props.empty ?? 'choose')
/** A list that is taken in at a look needs no keyboard on a phone. */
const inputMode = computed(() => (props.choices.length > MOST_AT_A_LOOK ? 'text' : 'none'))
const searched = shallowRef<Awaited<ReturnType<typeof searchChoice>> | null>(null)
const begun = shallowRef<SearchBegun | null>(null)
const { typedAhead, listen } = useTypedAhead()
async function choose() {
  if (searched.value === null) listen()
  searched.value ??= await searchChoice()
  begun.value = { ...typedAhead(), isOpen: true }
  choosing.value = true
}
/** Back to the word, which is where one was. */
async function back() {
  choosing.value = false
  await nextTick()
  word.value?.$el.focus()
}
</script>

<template>
  <span class="relative inline-block">
    <!-- It keeps its place while the list lies over it: the sentence does not move. -->
    <BaseButton
      ref="word"
      kind="word"
      :class="choosing ? 'invisible' : ''"
      :aria-label="`${label}: ${said}`"
      aria-haspopup="listbox"
      @click="choose()"
    >
      {{ said }}
    </BaseButton>
    <component
      :is="searched"
      v-if="choosing"
      v-model="chosen"
      class="word-choice"
      :choices="choices"
      :empty="empty"
      :aria-label="label"
      :inputmode="inputMode"
      :begun="begun"
      @done="back"
      @left="choosing = false"
      @keydown.esc="back"
    />
  </span>
</template>
