<script setup lang="ts">
import { computed, ref } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { takeProposal } from '../../../core/club/edits/takeProposal'
import { worthOf, type Proposal, type Thing } from '../../../core/club/propose'
import type { Session } from '../../../core/club/session'
import { changeText } from '../../../core/say/figureText'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { useProposing } from './proposing'
import { t } from '../../../words/train'

/** One theme, at most three things, the minutes on each, and why; taken as a whole or in part. */
const props = defineProps<{ session: Session }>()
const emit = defineEmits<{ done: [] }>()
const clubs = useClubs()
const charts = useCharts()
const { found, progress, why } = useProposing(() => props.session)
/** Moves that the coach leaves out. */
const left = ref(new Set<string>())
const keyOf = ({ move, reply = '' }: Thing) => `${move} ${reply}`
const nameOf = (thing: Thing) => lookUp(charts.chart?.moves ?? [], thing.move)?.name ?? ''
function notKnown(thing: Thing) {
  const { asked = 0, missed = 0 } = why(thing)?.notKnown ?? {}
  return t('train.askedNotKnown', { missed, asked })
}
const stays = ({ things }: Proposal) => things.filter((one) => !left.value.has(keyOf(one)))
const shown = computed(() => (found.value ?? []).map((one) => ({ ...one, gain: changeText(worthOf(stays(one))) })))

function leave(thing: Thing, isTaken: boolean) {
  const keys = new Set(left.value)
  if (isTaken) keys.delete(keyOf(thing))
  else keys.add(keyOf(thing))
  left.value = keys
}
function take(proposal: Proposal) {
  const { chart } = charts
  const things = stays(proposal)
  if (!chart || !things.length) return
  clubs.edit(t('train.takeTheProposal', { theme: proposal.theme }), (draft) =>
    takeProposal(draft, props.session.id, chart, proposal.theme, things),
  )
  emit('done')
}
</script>

<template>
  <section class="proposals off-paper" :aria-label="t('train.proposals')">
    <p v-if="!charts.chart" class="muted">{{ t('train.openAChartFirst') }}</p>
    <p v-else-if="!found" class="muted" role="status">
      {{ t('common.workingItOutProgress', { progress: Math.round((progress ?? 0) * 100) }) }}
    </p>
    <p v-else-if="!shown.length" class="muted">{{ t('train.nothingToPropose') }}</p>
    <article v-for="one in shown" :key="one.theme" class="panel" :aria-label="one.theme">
      <header>
        <h3>{{ one.theme }}</h3>
        <b>{{ t('train.bringsGain', { gain: one.gain }) }}</b>
        <el-button @click="take(one)">{{ t('train.takeIt') }}</el-button>
      </header>
      <ul>
        <li v-for="thing in one.things" :key="keyOf(thing)">
          <el-checkbox :model-value="!left.has(keyOf(thing))" @change="(on: boolean) => leave(thing, on)">{{
            t('train.thingForMinutes', { thing: nameOf(thing), minutes: thing.minutes })
          }}</el-checkbox>
          <span class="muted small"
            >{{ why(thing)?.says }}<template v-if="thing.isDue">{{ t('train.shownNotDrilled') }}</template
            ><template v-if="why(thing)?.notKnown.missed">{{ notKnown(thing) }}</template></span
          >
        </li>
      </ul>
    </article>
    <p class="muted small">{{ t('train.howItIsProposed') }}</p>
  </section>
</template>

<style scoped>
.proposals {
  display: grid;
  gap: var(--space-8);
}

article {
  padding: var(--space-8) var(--space-12);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
}

header .el-button {
  margin-left: auto;
}

li {
  display: grid;
}

li .small {
  margin-left: var(--space-24);
}
</style>
