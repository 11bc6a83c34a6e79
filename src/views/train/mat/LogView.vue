<script setup lang="ts">
import { computed } from 'vue'
import { resetLeft } from '../../../core/club/edits/liveRounds'
import { clockText, SECOND } from '../../../core/club/live/clock'
import type { Mat } from '../../../core/club/live/liveRecords'
import { useCharts } from '../../../stores/charts'
import { useHandedOver } from '../../parts/club/handedOver'
import HandOver from './HandOver.vue'
import { lastPressed } from './lastPressed'
import { useLiveClass } from './live'
import { useLogPresses } from './logPresses'
import PressGrid from './PressGrid.vue'
import { t } from '../../../words/train'

/** The log of one mat by presses: what is tried, what came of it, how it ended. The last entry is on top, with Undo. */
const props = defineProps<{ mat: Mat }>()
const charts = useCharts()
const { now, msOf, initialsOf } = useLiveClass()
const { shown, place, begin, undo } = useLogPresses(() => props.mat)
const left = computed(() => msOf(props.mat) - (now.value - (props.mat.round?.since ?? now.value)))
const reset = computed(() => resetLeft(props.mat, now.value))
const handed = useHandedOver()
const next = computed(() => {
  const [us, them] = props.mat.queue[0]?.people ?? []
  return us === undefined || them === undefined ? null : { us, them }
})
const last = computed(() => lastPressed(charts.chart, props.mat))
</script>

<template>
  <section class="log" :aria-label="t('train.logOfMat', { n: mat.n })">
    <header>
      <span v-if="handed.mat">{{ t('train.matN', { n: mat.n }) }}</span>
      <RouterLink v-else to="/mat" class="leave">{{ t('train.matN', { n: mat.n }) }}</RouterLink>
      <span class="last" aria-live="polite">{{ last }}</span>
      <el-button class="undo press" :disabled="!last" @click="undo">{{ t('train.undo') }}</el-button>
    </header>
    <template v-if="mat.round && shown">
      <p class="who">
        <b>{{ initialsOf(mat.round.us) }}</b> {{ t('train.attacks') }} <b>{{ initialsOf(mat.round.them) }}</b>
        <span class="seconds">{{ clockText(left) }}</span>
      </p>
      <h1>{{ shown.asks }}</h1>
      <p v-if="place" class="muted">{{ place }}</p>
      <PressGrid :presses="shown.presses" :under="shown.under" :is-list="shown.isList ?? false" />
    </template>
    <template v-else>
      <p class="who">
        <template v-if="next">
          <b>{{ initialsOf(next.us) }}</b> {{ t('train.attacks') }} <b>{{ initialsOf(next.them) }}</b>
        </template>
      </p>
      <h1>{{ reset > 0 ? t('train.letGoReset', { n: Math.ceil(reset / SECOND) }) : t('train.nextRound') }}</h1>
      <HandOver :mat="mat.n" />
      <el-button class="start press" :disabled="reset > 0 || !next" @click="begin">{{
        t('train.startTheRound')
      }}</el-button>
    </template>
  </section>
</template>

<style scoped>
.log {
  display: flex;
  flex-direction: column;
  gap: var(--space-8);
  height: 100%;
  padding: var(--space-8) var(--space-12);
}

header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--space-8);
  align-items: center;
}

.leave {
  min-height: var(--control);
  align-content: center;
}

.last {
  overflow: hidden;
  color: var(--muted);
  text-overflow: ellipsis;
  white-space: nowrap;
}

.undo {
  min-width: 84px;
}

.who {
  display: flex;
  gap: var(--space-8);
  align-items: baseline;
  font-size: var(--type-lead);
}

.who b,
.seconds {
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}

.seconds {
  margin-left: auto;
}

.start {
  min-height: 96px;
  margin-top: auto;
  border-color: var(--ours);
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}
</style>
