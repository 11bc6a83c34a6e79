<script setup lang="ts">
import { computed, ref } from 'vue'
import PickList from '../../../components/PickList.vue'
import type { Chart } from '../../../core/chart/chart'
import { toMoveId, toReactionId } from '../../../core/chart/ids'
import { dayAfter } from '../../../core/club/days'
import { addTrial } from '../../../core/club/edits/trials'
import type { TrialWay } from '../../../core/club/trial'
import { useClubs } from '../../../stores/clubs'
import { triedName } from './tried'
import { t } from '../../../words/learn'

/** Sets up a trial: two ways of one step, and the day on which it is judged. */
const props = defineProps<{ chart: Chart; now: string }>()
const clubs = useClubs()
/** After so many days a trial is judged, unless another day is set. */
const USUAL = 56
const title = ref('')
const first = ref('')
const second = ref('')
const judgeOn = ref(dayAfter(props.now, USUAL))

/** All that is tried: moves cold, and moves as an answer. */
const options = computed(() => {
  const { moves, answers } = props.chart
  return [
    ...moves.map(({ id, name }) => ({ value: String(id), label: name })),
    ...answers.map(({ move, reaction }) => ({
      value: `${move} ${reaction}`,
      label: triedName(props.chart, { move, reply: reaction }),
    })),
  ]
})
function wayOf(value: string): TrialWay {
  const [move = '', reply] = value.split(' ')
  return { move: toMoveId(move), ...(reply === undefined ? {} : { reply: toReactionId(reply) }) }
}
const isWhole = computed(() => title.value.trim() && first.value && second.value && judgeOn.value)
function add() {
  if (!isWhole.value) return
  const ways = { first: wayOf(first.value), second: wayOf(second.value) }
  const trial = { title: title.value.trim(), chart: props.chart.id, ...ways, since: props.now, judgeOn: judgeOn.value }
  if (!clubs.edit(t('learn.newTrial'), (draft) => void addTrial(draft, trial))) return
  title.value = first.value = second.value = ''
}
</script>

<template>
  <form class="panel" :aria-label="t('learn.newTrial')" @submit.prevent="add">
    <h2>{{ t('learn.newTrial') }}</h2>
    <label>
      <span class="label">{{ t('learn.whatIsTheQuestion') }}</span>
      <el-input v-model="title" :placeholder="t('learn.trialHint')" @keydown.stop />
    </label>
    <label>
      <span class="label">{{ t('learn.firstWay') }}</span>
      <PickList
        :value="first"
        :options="options"
        :aria-label="t('learn.firstWay')"
        @change="(v: string) => (first = v)"
      />
    </label>
    <label>
      <span class="label">{{ t('learn.secondWay') }}</span>
      <PickList
        :value="second"
        :options="options"
        :aria-label="t('learn.secondWay')"
        @change="(v: string) => (second = v)"
      />
    </label>
    <label>
      <span class="label">{{ t('learn.judgeOn') }}</span>
      <el-input v-model="judgeOn" type="date" />
    </label>
    <el-button type="primary" native-type="submit" :disabled="!isWhole">{{ t('learn.beginTrial') }}</el-button>
  </form>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: var(--space-12);
  align-items: end;
  max-width: 760px;
  padding: var(--space-16);
}

h2 {
  grid-column: 1 / -1;
}

label {
  display: grid;
  gap: var(--space-4);
}

.el-button {
  justify-self: start;
}
</style>
