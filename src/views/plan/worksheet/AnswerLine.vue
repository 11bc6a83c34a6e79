<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { ArrowUp, Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { present } from '../../../core/sure'
import { computed, defineAsyncComponent } from 'vue'
import TenTries from '../../../components/TenTries.vue'
import type { Answer } from '../../../core/chart/answer'
import type { Chart } from '../../../core/chart/chart'
import { removeAnswer, shiftAnswer } from '../../../core/chart/edits/answers'
import { NEW_ANSWER } from '../../../core/chart/guesses'
import { answerRefAt, type AnswerRef } from '../../../core/chart/edits/find'
import { borrowTries, setTries } from '../../../core/chart/edits/tries'
import type { MoveId, PositionId, ReactionId } from '../../../core/chart/ids'
import { isOwn, talliedRounds, wholeOf } from '../../../core/chart/tries'
import { lookUp } from '../../../core/chart/lookUp'
import { sayGuess } from '../../../core/say/guess'
import { useCharts } from '../../../stores/charts'
import { logged } from '../../../stores/estimates'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'
import { useNewRace } from './newRace'

/** Seldom there. */
/** Only where something was logged. */
const LandingMarks = defineAsyncComponent(() => import('../../parts/figures/LandingMarks.vue'))
const RaceLine = defineAsyncComponent(() => import('./RaceLine.vue'))

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
const move = computed(() => present(lookUp(chart.value.moves, props.answer.move)))
const place = computed(() => answerRefAt(present(charts.chart), props.index))
const name = computed(() => t('worksheet.moveInAnswer', { move: move.value.name }))
/** The tries by which it goes: its own, or those of its move. */
const guess = computed(() =>
  sayGuess(chart.value, props.answer.move, isOwn(props.answer) ? props.answer.tries : move.value.tries),
)
const rounds = computed(() => talliedRounds(props.answer.tries ?? {}))

/**
 * Edits this answer. The edit finds it by its ids, because it may be repeated on a chart that another tab has changed.
 */
function edit(label: string, change: (draft: Chart, answer: AnswerRef) => unknown) {
  const meant = place.value
  charts.edit(label, (draft) => void change(draft, meant))
}

function remove() {
  edit(t('worksheet.removeTheAnswerMove', { move: move.value.name }), removeAnswer)
  charts.tell(t('worksheet.removedTheAnswerMove', { move: move.value.name }), 'info', 'undo')
  emit('gone')
}

const shift = (by: 1 | -1) =>
  edit(t('worksheet.moveTheAnswerMove', { move: move.value.name }), (draft, answer) => shiftAnswer(draft, answer, by))
const own = () =>
  edit(t('worksheet.ownTriesForMove', { move: move.value.name }), (draft, answer) =>
    setTries(draft, { of: 'answer', answer }, { ...NEW_ANSWER }),
  )
const borrow = () => edit(t('worksheet.moveAsWhenWeBeginWith', { move: move.value.name }), borrowTries)

const newRace = useNewRace()
const race = () => newRace(move.value, { of: 'answer', answer: place.value })

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
      :data-tip="t('worksheet.goToMoveDeleteRemovesThe', { move: move.name })"
      @keydown="onKey"
      >{{ move.name }}</RouterLink
    >
    <span v-if="answer.tries?.tallies" class="muted small" :data-tip="t('worksheet.roundsOnTheMatInWhich')">
      {{ t('worksheet.workedOfWorked2Rounds', { worked: rounds.worked, worked2: rounds.worked + rounds.failed }) }}
    </span>
    <span v-if="guess" class="muted small" :data-tip="guess">{{ t('worksheet.guess') }}</span>
    <TenTries
      v-if="isOwn(answer)"
      class="strip"
      small
      :parts="stripOf(wholeOf(answer))"
      :name="name"
      @set="(counts, join) => setCounts({ of: 'answer', answer: place }, wholeOf(answer), counts, name, join)"
    />
    <LandingMarks v-if="logged && isOwn(answer)" :what="{ move: move.id, reply: answer.reaction }" />
    <RowButton
      v-if="!isOwn(answer)"
      class="cold muted small"
      :data-tip="t('worksheet.giveItTriesOfItsOwn')"
      @click="own"
    >
      {{ t('worksheet.asWhenWeBeginWithIt') }}
    </RowButton>
    <span class="tools">
      <RowButton
        v-if="isOwn(answer) && isOwn(move)"
        :data-tip="t('worksheet.goesAsWhenWeBeginWith')"
        :aria-label="t('worksheet.nameAsWhenWeBeginWith', { name })"
        @click="borrow"
      >
        {{ t('worksheet.asFirst') }}
      </RowButton>
      <RowButton v-if="!answer.race" :data-tip="t('worksheet.someOfItIsARace')" @click="race">
        {{ t('worksheet.addARace') }}
      </RowButton>
      <IconButton :icon="ArrowUp" :name="t('worksheet.nameUp', { name })" @click="shift(-1)" />
      <IconButton :icon="Close" :name="t('common.removeName', { name })" @click="remove" />
    </span>
    <AskedFigure
      v-if="value !== undefined"
      class="worth"
      :value="value"
      :asked="{ of: 'answer', ...asked, answer: index }"
      :label="t('worksheet.worthOfAnsweringWithMove', { move: move.name })"
    />
  </span>
  <RaceLine v-if="answer.race" :move="move" :race="answer.race" :owner="{ of: 'answer', answer: place }" />
</template>

<style scoped>
.answer {
  position: relative;
  display: flex;
  align-items: center;
  gap: var(--space-8);
  min-height: var(--control);
}

.chip {
  flex: 0 1 auto;
  padding: 0 var(--space-8);
  border-radius: var(--corner-panel);
  background: var(--ours-soft);
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
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
  gap: var(--space-4);
  padding: 0 var(--space-4);
  border: 1px solid var(--line);
  border-radius: var(--corner);
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
  font-size: var(--type-body);
  font-weight: var(--weight-strong);
  color: var(--muted);
}

@media (width < 400px) {
  .answer {
    display: grid;
    grid-template-columns: 1fr auto 30px;
    gap: 0 var(--space-8);
  }

  .chip {
    grid-column: 1 / -1;
    justify-self: start;
  }

  .strip,
  .cold {
    grid-column: 2;
  }
}
</style>
