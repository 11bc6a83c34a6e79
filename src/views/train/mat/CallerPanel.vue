<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { randomLcg } from 'd3-random'
import { computed, onScopeDispose, ref, watch } from 'vue'
import type { PositionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import { CALLED, callsOf, inTurn, nextCall, type Call, type Called, type Planned } from '../../../core/club/live/caller'
import { useCharts } from '../../../stores/charts'
import { limitsOf } from '../../../core/club/limits'
import { mayAllDo } from '../../../core/club/protect'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { useFigures } from '../../../stores/figures'
import { useLiveClass } from './live'
import { shelfFlows } from '../../parts/club/flows'
import { seedOf } from '../../../core/seed'
import { hush, sayAloud } from '../../parts/speech'
import { t, type TrainKey } from '../../../words/train'

/**
 * Calls out what they do, as often as the chart says and more of what leaks; or where we are, what is open, or a flow
 * in its turn. The next call waits for a press, or for the coach's pace; each is a large word as well as a voice.
 */
const emit = defineEmits<{ close: [] }>()
const charts = useCharts()
const figures = useFigures()
const clubs = useClubs()
const { block, live, people, session } = useLiveClass()
const call = ref<Call | null>(null)
const isHidden = ref(false)
const seconds = ref(0)
const PACES = [0, 5, 8, 12]
const NAMES: Record<Called, TrainKey> = {
  reactions: 'train.whatTheyDo',
  positions: 'train.positions',
  open: 'train.whatIsOpen',
}
/** What all who are there may do. */
const may = computed(() => mayAllDo(people.value, limitsOf(present(clubs.club)), session.value?.opened))
const planned: Planned = {
  // A reaction that is met costs its net as often as it comes up; both as shares.
  cost(move, reaction) {
    const met = figures.met(move, reaction)
    return met ? -100 * met.net * met.visits : 0
  },
  may: (move) => may.value(move),
  visits: (position) => figureOf(position)?.visits ?? 0,
  best: (position, cue) =>
    (cue === undefined ? figureOf(position)?.best : figureOf(position)?.seen?.find((one) => one.cue === cue)?.best) ??
    undefined,
}
const figureOf = (position: string) => figures.figures?.positions[position as PositionId]
const flow = computed(() => {
  const { about } = block.value ?? {}
  return about?.kind === 'flow' ? lookUp(shelfFlows(), about.id) : undefined
})
const kinds = computed(() =>
  CALLED.map((value) => ({ value, label: t(NAMES[value]), calls: callsFor(value) })).filter(
    ({ calls }) => calls.length,
  ),
)
const picked = ref<Called>('reactions')
const kind = computed(() => kinds.value.find(({ value }) => value === picked.value) ?? kinds.value[0])
/** Of a flow each in its turn; else by weight. */
const calls = computed(() => flow.value?.steps ?? kind.value?.calls ?? [])
function callsFor(what: Called): Call[] {
  return charts.chart && block.value ? callsOf(charts.chart, block.value, what, planned) : []
}
const random = randomLcg(seedOf(`${live.value?.session} ${live.value?.block}`))

function say(text: string) {
  hush()
  void sayAloud(text)
}
function next() {
  call.value = flow.value ? inTurn(flow.value.steps, call.value) : nextCall(calls.value, call.value, random)
  if (call.value) say(call.value.says)
}
const interval = computed(() => seconds.value * 1000)
const { pause, resume } = useIntervalFn(next, interval, { immediate: false })
watch([seconds, () => live.value?.isStopped], ([pace, isStopped]) => {
  if (pace && !isStopped) resume()
  else pause()
})
onScopeDispose(hush)
</script>

<template>
  <section class="caller" :aria-label="t('train.calls')">
    <p v-if="!calls.length" class="muted">{{ t('train.nothingToCall') }}</p>
    <template v-else>
      <el-segmented
        v-if="kinds.length > 1 && !flow"
        class="kinds"
        :model-value="kind?.value"
        :options="kinds"
        :aria-label="t('train.whatIsCalled')"
        @update:model-value="(what: Called) => (picked = what)"
      />
      <p class="word" aria-live="assertive">{{ call?.says ?? t('train.ready') }}</p>
      <p v-if="call?.to" class="muted to">
        {{ flow || kind?.value === 'open' ? call.to : t('train.toTheMove', { move: call.to }) }}
      </p>
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

.kinds {
  min-height: 56px;
  font-size: var(--type-lead);
}

.word::first-letter {
  text-transform: uppercase;
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
