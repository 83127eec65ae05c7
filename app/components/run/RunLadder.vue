<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { ReduceAnswer, RunAnswer } from '#core/formats/answer'
import type { MeasuredQuantity } from '#shared/measuredQuantity'

/** The ladder: from the figure as measured, rung by rung, to the figure at the reference. */
const props = defineProps<{ answer: RunAnswer; reference: ReduceAnswer['reference']; title: string }>()
const emit = defineEmits<{ add: [quantity: MeasuredQuantity] }>()
const drawing = useTemplateRef<HTMLElement>('drawing')
const { width } = useElementSize(drawing, { width: 270, height: 0 })
const { units } = usePreferences()
const geometry = computed(() => ladderGeometry(props.answer, Math.max(150, width.value || 270)))
const copied = ref(false)

async function copy() {
  await navigator.clipboard.writeText(ladderText(props.answer, props.title))
  copied.value = true
  setTimeout(() => {
    copied.value = false
  }, 2000)
}

const ADDABLE: Partial<Record<string, { quantity: MeasuredQuantity; words: string }>> = {
  wind: { quantity: 'wind', words: 'Add wind' },
  surroundings: { quantity: 'air', words: 'Add air' },
}
function basisOf({ shape, rung }: RungShape): string {
  if (shape === 'none' || shape === 'begins') return 'by the model'
  return rung.factor === null ? 'missing' : BASIS_WORDS[rung.basis]
}
const addOf = (rung: string) =>
  props.answer.missing.includes(rung === 'wind' ? 'place.windMS' : 'place.airC') ? ADDABLE[rung] : undefined
</script>

<template>
  <BasePanel tight label="Ladder">
    <LadderPatterns />
    <div class="ladder-row border-b border-edge text-ink-2">
      <span class="ladder-sentence">{{
        answer.gPerL === null ? 'Predicted, since it did not boil' : 'As measured'
      }}</span>
      <div ref="drawing" class="ladder-drawing relative h-6">
        <svg class="absolute inset-0 h-full w-full" aria-hidden="true">
          <g v-for="tick in geometry.ticks" :key="tick.value">
            <line :x1="tick.x" :x2="tick.x" y1="18" y2="24" class="stroke-edge" />
            <text :x="tick.x" y="14" text-anchor="middle" class="figures fill-ink-2 text-xs">{{ tick.value }}</text>
          </g>
        </svg>
      </div>
      <span class="ladder-factor" />
      <span class="ladder-figure figures text-ink">{{
        ladderStart(answer) === null
          ? ''
          : fuelWithU(ladderStart(answer)!, answer.gPerL === null ? null : answer.gPerLU)
      }}</span>
      <span class="ladder-basis">g/L, k = 2</span>
    </div>
    <ol>
      <li
        v-for="shape in geometry.rungs"
        :key="shape.rung.rung"
        class="ladder-row border-b border-edge last:border-b-0"
        :data-rung="shape.rung.rung"
        :data-shape="shape.shape"
      >
        <span class="ladder-sentence"
          >{{ rungSentence(shape.rung, units)
          }}<small v-if="shape.beyond" class="block text-xs text-ink-2">{{ shape.beyond }}</small></span
        >
        <div class="ladder-drawing relative h-11">
          <LadderRung :shape="shape" :measured-x="geometry.measuredX" :normalised-x="geometry.normalisedX" />
          <BaseButton
            v-if="addOf(shape.rung.rung)"
            kind="plain"
            class="absolute top-1/2 left-1/2 -translate-x-1/2 -translate-y-1/2 bg-sheet px-2"
            @click="emit('add', addOf(shape.rung.rung)!.quantity)"
          >
            {{ addOf(shape.rung.rung)!.words }}
          </BaseButton>
        </div>
        <span class="ladder-factor figures whitespace-nowrap" data-factor>{{
          shape.rung.factor === null
            ? shape.shape === 'begins'
              ? 'begins here'
              : shape.shape === 'none'
                ? answer.stallsAtC === null
                  ? 'no figure'
                  : 'stalls'
                : 'open'
            : factorText(shape.rung.factor)
        }}</span>
        <span class="ladder-figure">
          <FigureButton
            v-if="shape.rung.gPerL !== null && shape.rung.factor !== null"
            :path="`ladder.${shape.rung.rung}`"
            data-gperl
            >{{ fuelWithU(shape.rung.gPerL, shape.rung.u) }}</FigureButton
          >
          <span v-else-if="shape.rung.gPerL !== null" class="figures text-ink-2">{{
            fuelWithU(shape.rung.gPerL, shape.rung.u)
          }}</span>
        </span>
        <span class="ladder-basis">{{ basisOf(shape) }}</span>
      </li>
    </ol>
    <p class="mt-2 flex flex-wrap items-baseline gap-x-4">
      <strong v-if="answer.status === 'partly'" class="border-b-2 border-dashed border-ink">partly</strong>
      <span v-if="answer.missing.length">Missing: {{ answer.missing.map(missingWords).join(', ') }}.</span>
      <span class="text-ink-2">Factors multiply; percents do not add.</span>
      <BaseButton kind="plain" class="no-print ml-auto" @click="copy">
        {{ copied ? 'Copied' : 'Copy as text' }}
      </BaseButton>
    </p>
  </BasePanel>
</template>
