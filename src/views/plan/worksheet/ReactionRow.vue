<script setup lang="ts">
import { isEndId, toReactionId, type ReactionId } from '../../../core/chart/ids'
import { present } from '../../../core/sure'
import { computed, nextTick, ref, watch } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import LooseRing from '../../../components/LooseRing.vue'
import { answersTo } from '../../../core/chart/edits/answers'
import { orderReactions, rename, unmeetReaction } from '../../../core/chart/edits/records'
import { strikeChangesOf } from '../../../core/chart/rules/ruleSets'
import type { Move } from '../../../core/chart/move'
import { lookUp } from '../../../core/chart/lookUp'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import AddAnswer from '../../parts/add/AddAnswer.vue'
import AnswerLine from './AnswerLine.vue'
import { goToRow, useWorksheet } from '../../parts/inspectors/sheet'
import { useRemoving } from '../../parts/removing'
import { t } from '../../../words/worksheet'

/** What they do about a move (or, without one, while we hold still), its net, our answers and what it is worth. */
const props = defineProps<{ reactionId: ReactionId; move?: Move }>()
const { chart, position, selected, letters, timesMet, nameOf, select } = useWorksheet()
const charts = useCharts()
const removing = useRemoving()
const store = useFigures()
const row = ref<HTMLElement>()
const isPicking = ref(false)

const reaction = computed(() => lookUp(chart.value.reactions, props.reactionId))
const met = computed(() => store.met(props.move?.id ?? present(position.value).id, props.reactionId))
const answers = computed(() => answersTo(chart.value, props.reactionId))
const valueOf = computed(() => new Map(met.value?.answers.map(({ answer, value }) => [answer, value])))
const isSelected = computed(
  () => selected.value.reaction?.id === props.reactionId && selected.value.move?.id === props.move?.id,
)
const isLoose = computed(
  () => answers.value.length === 0 || (met.value !== undefined && met.value.answers.length === 0),
)
const asked = computed(() => ({
  move: props.move?.id ?? null,
  position: present(position.value).id,
  reaction: props.reactionId,
}))
/** How strikes change the reaction, where the rules in force allow strikes. */
const struck = computed(() => strikeChangesOf(present(reaction.value), store.scenario?.strikes ?? []))
const shared = computed(() => timesMet.value.get(props.reactionId) ?? 0)
const ending = computed(() => {
  const { endsIn } = present(reaction.value)
  const where = isEndId(endsIn)
    ? nameOf(endsIn)
    : endsIn === present(position.value).id
      ? t('worksheet.stillHere')
      : t('common.intoEndsIn', { endsIn: nameOf(endsIn) })
  return shared.value > 1 ? t('worksheet.whereMetBySharedMoves', { where, shared: shared.value }) : where
})

watch(
  () => isSelected.value && selected.value.picksAnswer,
  (picks) => {
    if (picks) isPicking.value = true
  },
  { immediate: true },
)

async function endPicking() {
  isPicking.value = false
  if (selected.value.picksAnswer) select(props.move?.id, props.reactionId)
  await nextTick()
  row.value?.focus()
}

function remove() {
  const { move } = props
  const { id, name } = present(reaction.value)
  if (!move) return
  goToRow(present(row.value), -1)
  const removable = { id, name: t('worksheet.nameFromMove', { name, move: move.name }) }
  removing(removable, (draft) => unmeetReaction(draft, move.id, id), t('common.removeName', { name }))
}

async function shift(by: 1 | -1) {
  const { move, reactionId } = props
  const order = Object.keys(move?.tries?.reactions ?? {}).map(toReactionId)
  const at = order.indexOf(reactionId)
  const other = order[at + by]
  if (!move || !other) return
  order.splice(at + by, 1, reactionId)
  order.splice(at, 1, other)
  charts.edit(t('common.moveName', { name: present(reaction.value).name }), (draft) =>
    orderReactions(draft, move.id, order),
  )
  await nextTick()
  row.value?.focus()
}

function onKey(event: KeyboardEvent) {
  if (event.target !== row.value || event.ctrlKey || event.metaKey) return
  if (event.altKey && event.key === 'ArrowUp') void shift(-1)
  else if (event.altKey && event.key === 'ArrowDown') void shift(1)
  else if (event.key === 'ArrowDown') goToRow(present(row.value), 1)
  else if (event.key === 'ArrowUp') goToRow(present(row.value), -1)
  else if (event.key.toLowerCase() === 'a' || (event.key === 'Enter' && isLoose.value)) isPicking.value = true
  else if (event.key === 'Enter') select(props.move?.id, props.reactionId)
  else if (event.key === 'Delete') remove()
  else return
  event.preventDefault()
}
</script>

<template>
  <li
    v-if="reaction"
    ref="row"
    class="row"
    :class="{ selected: isSelected }"
    tabindex="0"
    :data-row="`${move?.id ?? 'still'} ${reactionId}`"
    :aria-label="t('common.theyAttack', { attack: reaction.name })"
    @keydown="onKey"
    @focus="isSelected || select(move?.id, reactionId)"
  >
    <span class="letter" aria-hidden="true">{{ letters.get(reactionId) }}</span>
    <div class="name">
      <InlineText
        :value="reaction.name"
        :label="t('worksheet.nameOfTheReaction')"
        required
        @change="
          (name) =>
            charts.edit(t('worksheet.renameToName', { name }), (draft) => rename(draft, 'reactions', reactionId, name))
        "
      />
      <p class="muted small">{{ ending }}</p>
      <p v-for="one in struck" :key="one.uses" class="small struck">{{ one.says }}</p>
    </div>
    <AskedFigure
      :value="met?.net"
      form="net"
      :asked="{ of: 'net', ...asked }"
      :label="t('common.netOfReaction', { reaction: reaction.name })"
    />
    <span class="answers">
      <AnswerLine
        v-for="{ answer, index } in answers"
        :key="index"
        :answer="answer"
        :index="index"
        :value="answers.length > 1 ? valueOf.get(index) : undefined"
        :asked="asked"
        :is-best="met?.best === answer.move && answers.length > 1"
        @gone="row?.focus()"
      />
      <AddAnswer v-if="isPicking" :reaction="reaction" @close="endPicking" />
      <span v-else class="open" :class="{ more: !isLoose }">
        <LooseRing
          v-if="isLoose"
          :text="answers.length ? t('worksheet.noAnswerFitsWithTheseHolds') : t('worksheet.noAnswerYet')"
        />
        <el-button
          text
          :data-tip="isLoose ? t('worksheet.answerItA') : t('worksheet.anotherAnswerA')"
          :aria-label="t('worksheet.answerReaction', { reaction: reaction.name })"
          @click="isPicking = true"
        >
          {{ t('common.answer') }}
        </el-button>
      </span>
    </span>
    <AskedFigure
      :value="met?.value"
      :asked="{ of: 'met', ...asked }"
      :label="t('worksheet.worthOnceTheyReaction', { reaction: reaction.name })"
    />
  </li>
</template>

<style scoped>
.struck {
  color: var(--caution);
}

.row {
  display: grid;
  grid-template-columns: 24px minmax(120px, 1fr) 50px 318px 34px;
  align-items: start;
  gap: var(--space-8);
  padding: var(--space-4) var(--space-4);
  border-top: 1px dotted var(--strong-line);
  border-radius: var(--corner);
}

.selected {
  background: color-mix(in srgb, var(--theirs-soft) 55%, transparent);
}

.letter {
  width: 22px;
  height: 22px;
  background: var(--theirs-soft);
  border: 1.5px solid var(--theirs);
  color: var(--theirs);
  text-align: center;
  font: var(--weight-strong) var(--type-body) / 1.36 var(--label);
  clip-path: polygon(0 0, calc(100% - 6px) 0, 100% 6px, 100% 100%, 0 100%);
}

.name {
  line-height: 1.25;
}

.answers {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-4);
  min-width: 0;
}

.open {
  display: flex;
  align-items: center;
  gap: var(--space-8);
}

.row {
  position: relative;
}

.more {
  height: 0;
  overflow: hidden;
}

.row:hover .more,
.row:focus .more,
.row:focus-within .more,
.selected .more {
  height: auto;
}

@media (hover: none) {
  .more {
    height: auto;
  }
}

.open .el-button {
  min-height: max(22px, var(--target));
  padding: 0 var(--space-8);
  font-size: var(--type-small);
}

.row > :last-child {
  justify-self: end;
}

@media (width < 1440px) {
  .row {
    grid-template-columns: 24px minmax(0, 1fr) 62px 40px;
  }

  .answers {
    grid-row: 2;
    grid-column: 2 / -1;
  }
}
</style>
