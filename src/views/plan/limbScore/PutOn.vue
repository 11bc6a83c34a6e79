<script setup lang="ts">
import { sure, present } from '../../../core/sure'
import { computed } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { addHold } from '../../../core/chart/edits/holds'
import type { Hold } from '../../../core/chart/hold'
import { limbsWords } from '../../../core/holds/limbWords'
import type { ScoreLine } from '../../../core/limbScore/bars'
import { setBar } from '../../../core/limbScore/edits/editBars'
import { rowsWith } from '../../../core/limbScore/rows'
import { useCharts } from '../../../stores/charts'
import { useScore } from './score'
import { t } from '../../../words/score'

/** Puts a hold on with (or on) a limb that is free, from a step on: one that is known, or a new one. */
const props = defineProps<{ line: ScoreLine; beat: number }>()
const emit = defineEmits<{ close: [] }>()
const { chart, run, played } = useScore()
const charts = useCharts()

const known = computed(() => {
  const on = new Set<string>(sure(played.value.beats[props.beat]).holds)
  const { row, part } = props.line
  return (chart.value.holds ?? []).filter((hold) => {
    const { holds, held } = rowsWith(hold)
    return !on.has(hold.id) && ((holds.includes(row) && (!part || hold.limbs.includes(part))) || held === row)
  })
})
/** Index of the last beat before the next hold on this line begins. */
const until = computed(() => {
  const next = props.line.bars.map(({ from }) => from).filter((from) => from > props.beat)
  return next.length ? Math.min(...next) - 1 : played.value.beats.length - 1
})

function find(text: string): Choice[] {
  const typed = text.trim().toLowerCase()
  const choices = known.value
    .filter(({ name }) => name.toLowerCase().includes(typed))
    .map(({ id, name, limbs }): Choice => ({ key: id, value: name, id, hint: limbsWords(limbs) }))
  const isNew = typed && !chart.value.holds?.some(({ name }) => name.toLowerCase() === typed)
  return isNew ? [...choices, { key: 'new', value: text.trim(), id: null, hint: t('common.newHold') }] : choices
}

function pick({ id, value }: Choice) {
  emit('close')
  const { row, part } = props.line
  const limb = part ?? sure(row.parts[0])
  const fresh: Omit<Hold, 'id'> =
    row.by === 'ours' ? { name: value, limbs: [limb] } : { name: value, limbs: ['left-hand'], on: limb }
  const want = { from: props.beat, to: until.value }
  charts.edit(t('score.valueInName', { value, name: present(run.value).name }), (draft) => {
    const hold = id ?? addHold(draft, fresh)
    setBar(draft, present(run.value).id, hold, null, want)
  })
}
</script>

<template>
  <ComboList
    floating
    class="put"
    :label="
      t('score.whichHoldBeat', { beat: beat === 0 ? t('score.atTheStart') : t('score.fromStepBeatOn', { beat }) })
    "
    :placeholder="t('common.nameItOrTakeOneThat')"
    :find="find"
    @pick="pick"
    @cancel="emit('close')"
  />
</template>

<style scoped>
.put {
  z-index: 20;
  grid-row: 1;
  min-width: 240px;
}
</style>
