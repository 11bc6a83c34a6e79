<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { beginRound, endRound, resetLeft } from '../../../core/club/edits/liveRounds'
import type { Ended } from '../../../core/club/logRecords'
import { clockText, SECOND } from '../../../core/club/live/clock'
import type { Mat } from '../../../core/club/live/liveRecords'
import { ENDED_NAMES } from '../../parts/club/ended'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** A mat: who is on, who attacks, for how long; a press begins a round, and one ends it. */
const props = defineProps<{ mat: Mat }>()
const { now, live, start, initialsOf, nameOf, heedsOf, msOf, trialWay, edit } = useLiveClass()
const router = useRouter()
/** What ends a round, as a coach alone notes it; time ends by itself. */
const ENDS = ['had-it', 'tap', 'out', 'reversed', 'no-result'] as const
const most = computed(() => msOf(props.mat))
const left = computed(() => (props.mat.round ? most.value - (now.value - props.mat.round.since) : most.value))
const reset = computed(() => resetLeft(props.mat, now.value))
const on = computed(() => {
  const [us, them, ...others] = props.mat.queue[0]?.people ?? []
  return us === undefined || them === undefined ? null : { us, them, others }
})
const heeded = computed(() => heedsOf(props.mat.queue[0]?.people ?? []))
const after = computed(() => props.mat.queue[1]?.people ?? [])

/** With one mat there is nothing to look over: what comes of the round is logged at once. */
function begin() {
  edit(t('train.beginARound'), (draft) => beginRound(draft, props.mat.n, start.value, Date.now()))
  if (live.value?.mats.length === 1) void router.push(`/mat/${props.mat.n}`)
}
const end = (ended: Ended) => edit(ENDED_NAMES[ended], (draft) => endRound(draft, props.mat.n, ended, Date.now()))
</script>

<template>
  <article class="panel tile" :class="{ on: mat.round }" :aria-label="t('train.matN', { n: mat.n })">
    <header>
      <h2>{{ t('train.matN', { n: mat.n }) }}</h2>
      <span class="seconds">{{ clockText(left) }}</span>
    </header>
    <p v-if="on" class="who">
      <b :data-tip="nameOf(on.us)">{{ initialsOf(on.us) }}</b>
      <span class="muted">{{ t('train.attacks') }}</span>
      <b :data-tip="nameOf(on.them)">{{ initialsOf(on.them) }}</b>
      <span v-if="on.others.length" class="muted small">{{
        t('train.thenTheirTurn', { who: on.others.map(initialsOf).join(', ') })
      }}</span>
    </p>
    <p v-else class="muted">{{ t('train.nobodyIsNext') }}</p>
    <p v-if="on && trialWay(on.us)" class="small">
      {{ t('train.triesTheWay', { who: initialsOf(on.us), way: trialWay(on.us) }) }}
    </p>
    <p v-for="one in heeded" :key="one" class="small heeds">{{ one }}</p>
    <template v-if="mat.round">
      <div class="ends">
        <el-button v-for="one in ENDS" :key="one" class="press" @click="end(one)">{{ ENDED_NAMES[one] }}</el-button>
        <RouterLink class="button press log" :to="`/mat/${mat.n}`">{{ t('train.log') }}</RouterLink>
      </div>
    </template>
    <template v-else-if="on">
      <el-button class="press main" :disabled="reset > 0" @click="begin">{{
        reset > 0 ? t('train.letGoReset', { n: Math.ceil(reset / SECOND) }) : t('train.startTheRound')
      }}</el-button>
      <p v-if="after.length" class="muted small">
        {{ t('train.thenWho', { who: after.map(initialsOf).join(', ') }) }}
      </p>
    </template>
  </article>
</template>

<style scoped>
.tile {
  display: grid;
  gap: var(--space-8);
  padding: var(--space-8) var(--space-12);
}

.on {
  border-color: var(--ours);
}

header,
.who {
  display: flex;
  gap: var(--space-8);
  align-items: baseline;
  justify-content: space-between;
}

.who {
  justify-content: start;
}

.who b,
.seconds {
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}

.heeds {
  color: var(--caution);
}

.ends {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-8);
}

.log {
  justify-content: center;
}

.main {
  border-color: var(--ours);
}
</style>
