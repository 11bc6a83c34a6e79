<script setup lang="ts">
import { computed } from 'vue'
import TenTries from '../../components/TenTries.vue'
import type { Answer } from '../../core/chart/answer'
import { NEW_ANSWER, removeAnswer, shiftAnswer } from '../../core/chart/edits/answers'
import { borrowTries, setTries } from '../../core/chart/edits/tries'
import type { MoveId, PositionId, ReactionId } from '../../core/chart/ids'
import { useCharts } from '../../stores/charts'
import AskedFigure from '../figures/AskedFigure.vue'
import { useWorksheet } from './worksheet'

/** One answer: the move, its own tries or those of the move, and what it is worth here. */
const props = defineProps<{
  answer: Answer
  index: number
  value: number | undefined
  asked: { move: MoveId | null; position: PositionId; reaction: ReactionId }
  isBest: boolean
}>()
const emit = defineEmits<{ gone: [] }>()
const { chart, setCounts, stripOf } = useWorksheet()
const charts = useCharts()
const move = computed(() => chart.value.moves.find(({ id }) => id === props.answer.move)!)
const name = computed(() => `${move.value.name} in answer`)

function remove() {
  charts.edit(`Remove the answer ${move.value.name}`, (draft) => removeAnswer(draft, props.index))
  charts.tell(`Removed the answer ${move.value.name}.`)
  emit('gone')
}

const shift = (by: 1 | -1) =>
  charts.edit(`Move the answer ${move.value.name}`, (draft) => void shiftAnswer(draft, props.index, by))
const own = () =>
  charts.edit(`Own tries for ${move.value.name}`, (draft) =>
    setTries(draft, { of: 'answer', answer: props.index }, { ...NEW_ANSWER }),
  )
const borrow = () => charts.edit(`${move.value.name} as tried cold`, (draft) => borrowTries(draft, props.index))

function onKey(event: KeyboardEvent) {
  if (event.altKey && event.key === 'ArrowUp') shift(-1)
  else if (event.altKey && event.key === 'ArrowDown') shift(1)
  else if (event.key === 'Delete') remove()
  else return
  event.preventDefault()
  event.stopPropagation()
}
</script>

<template>
  <span class="answer">
    <RouterLink
      class="chip"
      :class="{ best: isBest }"
      :to="{ path: `/worksheet/${move.from}`, query: { move: move.id } }"
      :title="`Go to ${move.name}; Delete removes the answer, Alt and arrows move it`"
      @keydown="onKey"
      >{{ move.name }}</RouterLink
    >
    <TenTries
      v-if="answer.tries"
      class="strip"
      small
      :parts="stripOf(answer.tries)"
      :name="name"
      @set="(counts, join) => setCounts({ of: 'answer', answer: index }, answer.tries!, counts, name, join)"
    />
    <button v-else type="button" class="plain cold muted small" title="Give it tries of its own" @click="own">
      as tried cold
    </button>
    <span class="tools">
      <button
        v-if="answer.tries"
        type="button"
        class="plain"
        title="As tried cold"
        :aria-label="`${name}: as tried cold`"
        @click="borrow"
      >
        ≡
      </button>
      <button type="button" class="plain" :aria-label="`${name}: up`" @click="shift(-1)">↑</button>
      <button type="button" class="plain" :aria-label="`Remove ${name}`" @click="remove">×</button>
    </span>
    <AskedFigure
      v-if="value !== undefined"
      class="worth"
      :value="value"
      :asked="{ of: 'answer', ...asked, answer: index }"
      :label="`Worth of answering with ${move.name}`"
    />
  </span>
</template>

<style scoped>
.answer {
  position: relative;
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 26px;
}

.chip {
  flex: 0 1 auto;
  padding: 1px 9px;
  border-radius: 12px;
  background: var(--ours-soft);
  font: 600 17px/1.3 var(--label);
  text-decoration: none;
}

.chip:hover {
  text-decoration: underline;
}

.best {
  box-shadow: inset 0 0 0 1.5px var(--ours);
}

.strip,
.cold {
  flex: none;
  margin-left: auto;
}

.cold {
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}

.tools {
  position: absolute;
  right: 0;
  bottom: 100%;
  z-index: 2;
  display: none;
  gap: 2px;
  padding: 0 4px;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: var(--raised);
}

.tools button {
  min-width: 24px;
  text-align: center;
}

.answer:hover .tools,
.answer:focus-within .tools {
  display: inline-flex;
}

.worth {
  flex: none;
  width: 30px;
  min-width: 30px;
}

.worth :deep(.number) {
  font-size: 16px;
  font-weight: 600;
  color: var(--muted);
}
</style>
