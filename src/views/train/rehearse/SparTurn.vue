<script setup lang="ts">
import { onKeyStroke, useIntervalFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import { CONCEDE, WAIT } from '../../../core/rehearse/choices'
import type { Spar } from '../../../core/rehearse/spar'
import { clockText } from '../../../core/say/figureText'
import { sayCard } from '../../../core/say/rehearse'
import { sayCame, sayDone, sayOption } from '../../../core/say/spar'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import { t } from '../../../words/rehearse'

/** What is now, what has just happened, and what can be done. While the worker thinks, the last turn stays. */
const props = defineProps<{ spar: Spar | null; chart: Chart; clock: number }>()
const emit = defineEmits<{ choose: [action: number]; stop: [] }>()
const kept = ref<Spar | null>(null)
const left = ref(props.clock)
const turn = computed(() => kept.value?.turn ?? null)
const said = computed(() => turn.value && sayCard(props.chart, turn.value.asked))
const position = computed(() => lookUp(props.chart.positions, turn.value?.asked.position))
const last = computed(() => {
  const choice = kept.value?.choices.at(-1)
  // What they do to it is asked about right below.
  if (choice?.came.of === 'reaction') return ''
  return choice ? `${sayDone(props.chart, choice.chosen)}. ${sayCame(props.chart, choice.came)}` : ''
})
watch(
  () => props.spar,
  (spar) => {
    if (!spar?.turn) return
    kept.value = spar
    left.value = props.clock
  },
  { immediate: true },
)
const STEP = 0.1
/** Who does not choose in time holds still, or lets them have it. */
useIntervalFn(() => {
  if (!props.clock || !props.spar?.turn) return
  left.value = Math.max(0, left.value - STEP)
  if (left.value > 0) return
  const idle = props.spar.turn.options.find(({ does }) => does === WAIT || does === CONCEDE)
  left.value = props.clock
  if (idle) emit('choose', idle.action)
}, STEP * 1000)
onKeyStroke(
  (event) => /^[1-9]$/.test(event.key),
  ({ key }) => {
    const option = turn.value?.options[Number(key) - 1]
    if (option && props.spar) emit('choose', option.action)
  },
)
</script>

<template>
  <article class="turn" :aria-label="t('rehearse.sparWithThePlan')">
    <header>
      <b class="time">{{ turn ? clockText(turn.t) : '' }}</b>
      <el-button text @click="emit('stop')">{{ t('rehearse.stop') }}</el-button>
    </header>
    <template v-if="turn && said">
      <PositionFigure v-if="position" class="picture" :chart="chart" :position="position" />
      <p class="last" aria-live="polite">{{ last }}</p>
      <h1>{{ turn.asked.reaction === undefined ? said.where : said.happens }}</h1>
      <p v-if="turn.asked.cue" class="seen">{{ said.happens }}</p>
      <footer>
        <el-progress
          v-if="clock"
          class="clock"
          :percentage="(100 * left) / clock"
          :show-text="false"
          :stroke-width="8"
          :aria-label="t('rehearse.toChoose')"
        />
        <ul :aria-label="t('rehearse.choices')">
          <li v-for="(option, i) in turn.options" :key="option.action">
            <el-button class="press" @click="spar && emit('choose', option.action)"
              ><span class="key muted" aria-hidden="true">{{ i + 1 }}</span> {{ sayOption(chart, option) }}</el-button
            >
          </li>
        </ul>
      </footer>
    </template>
    <p v-else class="muted" role="status">{{ t('rehearse.partnerComes') }}</p>
  </article>
</template>

<style scoped src="./asking.css"></style>
<style scoped>
.time {
  font: var(--weight-strong) var(--type-title) / 1 var(--label);
}

.last {
  min-height: 1lh;
  color: var(--muted);
}

.seen {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

.clock {
  margin-bottom: var(--space-8);
}
</style>
