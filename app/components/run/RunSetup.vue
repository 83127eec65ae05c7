<script setup lang="ts">
import type { MeanOf, SetupAnswer } from '#core/formats/answer'
import { isSameMean } from '#core/reduce/sameMean'

/** What the set-up's runs say together: their means, and what wind does to it. */
const props = defineProps<{ setup: SetupAnswer; /** The mean that the run enters. */ own: MeanOf | null }>()
const { units } = usePreferences()
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
      ><FigureButton v-if="mean.isOwn" path="setup.mean">{{ withExpandedU(mean.meanGPerL, mean.meanU) }}</FigureButton
      ><span v-else class="figures">{{ withExpandedU(mean.meanGPerL, mean.meanU) }}</span> g/L<template v-if="mean.ci95"
        >, 95 % from <span class="figures">{{ mean.ci95[0].toFixed(1) }}</span> to
        <span class="figures">{{ mean.ci95[1].toFixed(1) }}</span></template
      >.
    </p>
    <p v-if="setup.leftOut.length">
      Left out, since impossible: {{ setup.leftOut.length }} {{ setup.leftOut.length === 1 ? 'run' : 'runs' }}.
    </p>
    <p v-if="setup.wind">
      Wind, {{ BASIS_WORDS[setup.wind.basis] }}:
      <template v-if="setup.wind.doublingMS !== null"
        >fuel doubles at
        <FigureButton path="setup.doublingMS">{{ shown(setup.wind.doublingMS, 'wind', units) }}</FigureButton></template
      ><template v-else>fuel does not double in any wind one cooks in</template
      ><template v-if="setup.wind.stallMS !== null"
        >, and it no longer boils from
        <FigureButton path="setup.stallMS">{{ shown(setup.wind.stallMS, 'wind', units) }}</FigureButton> on</template
      >.
      <FigureButton path="setup.gamma">γ = {{ setup.wind.gamma.toFixed(3) }}</FigureButton>
    </p>
  </BasePanel>
</template>
