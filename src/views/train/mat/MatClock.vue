<script setup lang="ts">
import { computed, ref } from 'vue'
import { pauseClock, endClass } from '../../../core/club/edits/live'
import { changePartners } from '../../../core/club/edits/livePairs'
import { clockText } from '../../../core/club/live/clock'
import { MATTERS } from '../../../core/club/live/behind'
import { useRouter } from 'vue-router'
import { useCharts } from '../../../stores/charts'
import { aboutText, blockTitle, roundsText, strikesText } from '../../parts/club/blocks'
import BehindOffers from './BehindOffers.vue'
import CallerPanel from './CallerPanel.vue'
import MatTile from './MatTile.vue'
import PairsNow from './PairsNow.vue'
import TodayPeople from './TodayPeople.vue'
import { useGoing } from './going'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** The clock of the class, to be read from far, with the mats under it where rounds run there. */
const { live, session, block, next, face, isRunning, behind, offers, now, hasMats, startText, edit } = useLiveClass()
const charts = useCharts()
const router = useRouter()
const { goOn, toggle } = useGoing()
const isOpen = ref<'people' | 'offers' | 'calls' | null>(null)

const ask = () => edit(t('train.question'), (draft) => pauseClock(draft, now.value, true))
const isOn = computed(() => live.value?.mats.some(({ round }) => round) ?? false)
const change = () => edit(t('train.changePartners'), (draft) => changePartners(draft))
async function end() {
  const { value: one } = session
  edit(t('train.endTheClass'), (draft) => endClass(draft, Date.now()))
  await router.push({ path: '/sessions/review', query: { class: one?.id } })
}
const PHASES = { work: t('train.work'), rest: t('train.rest'), open: '', done: t('train.done') } as const
</script>

<template>
  <section v-if="live && block && face" class="screen" :class="[face.phase, { low: hasMats }]">
    <header>
      <RouterLink to="/sessions" class="leave">{{ t('frame.sessions') }}</RouterLink>
      <el-button
        v-if="Math.round(behind) >= MATTERS"
        class="behind"
        :aria-expanded="isOpen === 'offers'"
        @click="isOpen = isOpen === 'offers' ? null : 'offers'"
        >{{ t('train.minutesBehind', { n: Math.round(behind) }) }}</el-button
      >
      <el-button
        v-if="block.about"
        :aria-expanded="isOpen === 'calls'"
        @click="isOpen = isOpen === 'calls' ? null : 'calls'"
        >{{ t('train.calls') }}</el-button
      >
      <el-button v-if="block.withWhom === 'rotation'" :disabled="isOn" @click="change">{{
        t('train.changePartners')
      }}</el-button>
      <el-button :aria-expanded="isOpen === 'people'" @click="isOpen = isOpen === 'people' ? null : 'people'">{{
        t('train.whoIsHere')
      }}</el-button>
    </header>
    <BehindOffers v-if="isOpen === 'offers'" :offers="offers" @done="isOpen = null" />
    <CallerPanel v-else-if="isOpen === 'calls'" :key="block.id" @close="isOpen = null" />
    <TodayPeople v-else-if="isOpen === 'people'" @close="isOpen = null" />
    <template v-else>
      <h1 class="far">{{ blockTitle(block) }}</h1>
      <p v-if="live.isStopped" class="far stopped">{{ t('train.stopped') }}</p>
      <p v-else-if="live.isQuestion" class="far">{{ t('train.aQuestion') }}</p>
      <p v-else-if="face.phase !== 'open'" class="far phase">
        {{ PHASES[face.phase] }}
        <span v-if="face.rounds > 1">{{ t('train.roundOfRounds', { round: face.round, rounds: face.rounds }) }}</span>
      </p>
      <p class="clock" role="timer" :aria-label="t('train.clock')">
        {{ face.isUp ? clockText(face.spent, true) : clockText(face.left) }}
      </p>
      <p v-if="face.isUp" class="muted">{{ t('train.plannedMinutes', { n: block.minutes }) }}</p>
      <p class="far what">{{ aboutText(charts.chart, block) }}</p>
      <p v-if="startText" class="start">{{ startText }}</p>
      <p v-if="block.gear ?? block.contact" class="start">{{ strikesText(block) }}</p>
      <ul v-if="block.points?.length" class="points">
        <li v-for="point in block.points" :key="point">{{ point }}</li>
      </ul>
      <div v-if="hasMats" class="mats"><MatTile v-for="mat in live.mats" :key="mat.n" :mat="mat" /></div>
      <PairsNow v-else-if="block.withWhom" />
      <p v-if="next" class="next">
        {{ t('train.nextBlock', { block: blockTitle(next) }) }} <span class="muted">{{ roundsText(next) }}</span>
      </p>
    </template>
    <Teleport defer to="#mat-controls">
      <el-button class="press main" @click="toggle">{{ isRunning ? t('train.pause') : t('train.start') }}</el-button>
      <el-button v-if="face.isUp" class="press" @click="ask">{{ t('train.question') }}</el-button>
      <el-button v-if="next" class="press" @click="goOn">{{ t('train.next') }}</el-button>
      <el-button v-else class="press" @click="end">{{ t('train.endTheClass') }}</el-button>
    </Teleport>
  </section>
</template>

<style scoped>
.screen {
  display: flex;
  flex-direction: column;
  gap: var(--space-8);
  align-items: center;
  padding: var(--space-8) var(--space-12) var(--space-16);
  text-align: center;
}

.screen:not(.low) .clock {
  margin-top: auto;
}

.screen:not(.low) .next {
  margin-top: auto;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
  align-self: stretch;
  justify-content: space-between;
}

.leave {
  min-height: var(--control);
  align-content: center;
}

.behind {
  border-color: var(--caution);
  color: var(--caution);
}

.far {
  font: var(--weight-strong) var(--type-far) / 1.1 var(--label);
}

.clock {
  font: var(--weight-strong) var(--type-clock) / 0.95 var(--label);
}

.low .clock {
  font-size: var(--type-clock-low);
}

.rest {
  background: var(--theirs-soft);
}

.stopped {
  color: var(--leak);
}

.mats {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
  gap: var(--space-8);
  align-self: stretch;
}

.next {
  font: var(--type-head) / 1.3 var(--label);
}

.start {
  font: var(--type-lead) / 1.3 var(--label);
}

.points {
  font-size: var(--type-head);
}
</style>

<style>
#mat-controls {
  display: grid;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  gap: var(--space-8);
}

#mat-controls .main {
  border-color: var(--ours);
  background: var(--ours);
  color: var(--ours-ink);
}
</style>
