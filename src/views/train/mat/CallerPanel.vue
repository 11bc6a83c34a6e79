<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { randomLcg } from 'd3-random'
import { computed, onScopeDispose, ref, watch } from 'vue'
import { callsOf, nextCall, seedOf, type Call } from '../../../core/club/live/caller'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/**
 * Calls out what they do, as often as the chart says and more of what leaks. The next call waits for a press, or for
 * the coach's pace; each is a large word as well as a voice.
 */
const emit = defineEmits<{ close: [] }>()
const charts = useCharts()
const figures = useFigures()
const { block, live } = useLiveClass()
const call = ref<Call | null>(null)
const isHidden = ref(false)
const seconds = ref(0)
const PACES = [0, 5, 8, 12]
/** A reaction that is met costs its net as often as it comes up; both as shares. */
const cost = (move: string, reaction: string) => {
  const met = figures.met(move, reaction)
  return met ? -100 * met.net * met.visits : 0
}
const calls = computed(() => (charts.chart && block.value ? callsOf(charts.chart, block.value, cost) : []))
const random = randomLcg(seedOf(`${live.value?.session} ${live.value?.block}`))

function say(text: string) {
  if (typeof speechSynthesis === 'undefined') return
  speechSynthesis.cancel()
  speechSynthesis.speak(new SpeechSynthesisUtterance(text))
}
function next() {
  call.value = nextCall(calls.value, call.value, random)
  if (call.value) say(call.value.says)
}
const interval = computed(() => seconds.value * 1000)
const { pause, resume } = useIntervalFn(next, interval, { immediate: false })
watch([seconds, () => live.value?.isStopped], ([pace, isStopped]) => {
  if (pace && !isStopped) resume()
  else pause()
})
onScopeDispose(() => typeof speechSynthesis !== 'undefined' && speechSynthesis.cancel())
</script>

<template>
  <section class="caller" :aria-label="t('train.calls')">
    <p v-if="!calls.length" class="muted">{{ t('train.nothingToCall') }}</p>
    <template v-else>
      <p class="word" aria-live="assertive">{{ call?.says ?? t('train.ready') }}</p>
      <p v-if="call" class="muted to">{{ t('train.toTheMove', { move: call.to }) }}</p>
      <p v-if="call?.answer && !isHidden" class="answer">{{ call.answer }}</p>
      <el-button class="press main" @click="next">{{ t('train.nextCall') }}</el-button>
      <p class="paces" role="group" :aria-label="t('train.pace')">
        <el-button
          v-for="pace in PACES"
          :key="pace"
          class="press"
          :aria-pressed="pace === seconds"
          @click="seconds = pace"
          >{{ pace ? t('train.everySeconds', { n: pace }) : t('train.byHand') }}</el-button
        >
      </p>
      <el-checkbox v-model="isHidden">{{ t('train.hideTheAnswer') }}</el-checkbox>
    </template>
    <el-button class="press" @click="emit('close')">{{ t('train.back') }}</el-button>
  </section>
</template>

<style scoped>
.caller {
  display: grid;
  flex: 1;
  gap: var(--space-12);
  align-content: center;
  align-self: stretch;
}

.word {
  font: var(--weight-strong) var(--type-clock-low) / 1 var(--label);
  overflow-wrap: anywhere;
}

.to {
  font-size: var(--type-lead);
}

.answer {
  color: var(--ours);
  font: var(--weight-strong) var(--type-far) / 1.1 var(--label);
}

.paces {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: var(--space-8);
}

.paces [aria-pressed='true'] {
  border-color: var(--ours);
  background: var(--ours-soft);
}

.main {
  border-color: var(--ours);
}
</style>
