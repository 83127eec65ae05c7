<script setup lang="ts">
import type { SetupAnswer } from '#core/formats/answer'

/** What the set-up's runs say together: their mean, and what wind does to it. */
defineProps<{ setup: SetupAnswer }>()
const { units } = usePreferences()
</script>

<template>
  <section aria-label="Its set-up" class="enamel p-4">
    <h2 class="mb-1">Its set-up, {{ setup.n }} {{ setup.n === 1 ? 'run' : 'runs' }} at this reference</h2>
    <p>
      Mean <FigureButton path="setup.mean">{{ withExpandedU(setup.meanGPerL, setup.meanU) }}</FigureButton> g/L<template
        v-if="setup.ci95"
        >, 95 % from <span class="figures">{{ setup.ci95[0].toFixed(1) }}</span> to
        <span class="figures">{{ setup.ci95[1].toFixed(1) }}</span></template
      >.<template v-if="setup.leftOut.length">
        Left out, since impossible: {{ setup.leftOut.length }}
        {{ setup.leftOut.length === 1 ? 'run' : 'runs' }}.</template
      >
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
  </section>
</template>
