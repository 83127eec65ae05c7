<script setup lang="ts">
import type { FlameFigure, MeanOf, SetupAnswer } from '#core/formats/answer'
import { isSameMean } from '#core/reduce/sameMean'

/** What the set-up's runs say together: their means, and what wind and valve do to its flame. */
const props = defineProps<{ setup: SetupAnswer; /** The mean that the run enters. */ own: MeanOf | null }>()
const { units } = usePreferences()
/** The safe side first: one in twenty such set-ups stalls below [m/s]. */
const firstStall = ({ value, u }: FlameFigure) => value * Math.exp((-1.645 * u) / value)
/** The run's own first. */
const means = computed(() =>
  [...props.setup.means]
    .map((mean) => ({ ...mean, words: meanWords(mean, units.value), isOwn: isSameMean(mean, props.own) }))
    .sort((a, b) => Number(b.isOwn) - Number(a.isOwn)),
)
</script>

<template>
  <BasePanel label="Its set-up">
    <template #title>Its set-up, {{ setup.n }} {{ setup.n === 1 ? 'run' : 'runs' }} at this reference</template>
    <p v-for="mean in means" :key="mean.words" class="first-letter:uppercase" :data-mean="mean.words">
      <template v-if="means.length > 1"
        >{{ mean.words }}, {{ mean.n }} {{ mean.n === 1 ? 'run' : 'runs' }}: mean </template
      ><template v-else>Mean </template
      ><FigureButton v-if="mean.isOwn" path="setup.mean">{{ fuelWithU(mean.meanGPerL, mean.meanU) }}</FigureButton
      ><span v-else class="figures">{{ fuelWithU(mean.meanGPerL, mean.meanU) }}</span> g/L<template v-if="mean.ci95"
        >, 95 % from <span class="figures">{{ mean.ci95[0].toFixed(1) }}</span> to
        <span class="figures">{{ mean.ci95[1].toFixed(1) }}</span></template
      >.
    </p>
    <p v-if="setup.leftOut.length">
      Left out, since impossible: {{ setup.leftOut.length }} {{ setup.leftOut.length === 1 ? 'run' : 'runs' }}.
    </p>
    <p v-if="setup.flame">
      Wind, {{ BASIS_WORDS[setup.flame.v0.basis] }}:
      <template v-if="setup.flame.doublingMS"
        >fuel doubles at
        <FigureButton path="setup.doublingMS">{{
          shown(setup.flame.doublingMS.value, 'wind', units)
        }}</FigureButton></template
      ><template v-else>fuel does not double in any wind one cooks in</template
      ><template v-if="setup.flame.stallMS"
        >, it may fail to boil from
        <span class="figures">{{ shown(firstStall(setup.flame.stallMS), 'wind', units) }}</span> on, and will likely at
        <FigureButton path="setup.stallMS">{{
          shown(setup.flame.stallMS.value, 'wind', units)
        }}</FigureButton></template
      >.
      <FigureButton path="setup.v0MS">v₀ = {{ shown(setup.flame.v0.value, 'wind', units) }}</FigureButton>
    </p>
    <p v-if="setup.flame?.benchBurnRateGPerMin" data-bench-rate>
      Bench burn rate
      <span class="figures">{{ setup.flame.benchBurnRateGPerMin.value.toFixed(2) }}</span> g/min: what a weak or forced
      flame is brought to. Its flame repeats within
      <span class="figures">{{ (100 * setup.flame.sigma.value).toFixed(1) }}</span> %.
    </p>
  </BasePanel>
</template>
