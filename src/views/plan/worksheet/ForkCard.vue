<script setup lang="ts">
import { ArrowDown, ArrowUp, Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { present } from '../../../core/sure'
import { computed, defineAsyncComponent, nextTick, ref } from 'vue'
import HazardBadge from '../../../components/HazardBadge.vue'
import InlineText from '../../../components/InlineText.vue'
import TenTries from '../../../components/TenTries.vue'
import { moveMove, removeMove, rename, setReply } from '../../../core/chart/edits/records'
import { RULE_TAGS } from '../../../core/chart/rules/ruleSet'
import { exposedBy, ruleSetOf } from '../../../core/chart/rules/ruleSets'
import { lookUp } from '../../../core/chart/lookUp'
import { sayGuess } from '../../../core/say/guess'
import { lowerFirst } from '../../../core/say/speech'
import type { Move } from '../../../core/chart/move'
import { isOwn, reactionsMet, wholeOf } from '../../../core/chart/tries'
import { useCharts } from '../../../stores/charts'
import { logged } from '../../../stores/estimates'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import AddReaction from '../../parts/add/AddReaction.vue'
import ForkLine from './ForkLine.vue'
import ReactionRow from './ReactionRow.vue'
import { useNewRace } from './newRace'
import { goToRow, useWorksheet } from '../../parts/inspectors/sheet'
import { useRemoving } from '../../parts/removing'
import { t } from '../../../words/worksheet'

/** Seldom there. */
/** Only where something was logged. */
const LandingMarks = defineAsyncComponent(() => import('../../parts/figures/LandingMarks.vue'))
const RaceLine = defineAsyncComponent(() => import('./RaceLine.vue'))

/** One move with its ten tries, what they do about it and what we answer. */
const props = defineProps<{ move: Move }>()
const { chart, position, moves, selected, nameOf, select, setCounts, stripOf } = useWorksheet()
const charts = useCharts()
const removing = useRemoving()
const store = useFigures()
const isSaying = ref(false)
const card = ref<HTMLElement>()

const figure = computed(() => store.figures?.moves[props.move.id])
const best = computed(() => store.figures?.positions[present(position.value).id])
const isBest = computed(() => best.value?.best === props.move.id)
const reactions = computed(() => reactionsMet(props.move))
/** Why it is not tried: the rules in force do not allow it, or we do it another way; empty where it is. */
const forbidden = computed(() => {
  const otherWay = charts.chart?.settings?.ways?.find(({ aside }) => aside.includes(props.move.id))
  if (otherWay) return t('worksheet.setAsideOurWayIsOther', { otherWay: otherWay.says.toLowerCase() })
  const { rules, forbids = [], noFinish } = store.scenario ?? {}
  const tag = props.move.tags?.find((one) => forbids.includes(one))
  const { ruleSets, group } = charts.chart?.settings ?? {}
  const set = ruleSetOf(rules, ruleSets)
  if (!tag)
    return noFinish && props.move.to === 'finish' ? t('worksheet.notAllowedSetFinishes', { set: set?.name }) : ''
  const why = set?.forbids.includes(tag)
    ? t('worksheet.notAllowedSet', { set: set.name })
    : t('worksheet.notForGroup', { group })
  return `${why}: ${(RULE_TAGS as Partial<Record<string, string>>)[tag] ?? tag}`
})
/** What strikes change of it, where we can be hit meanwhile. */
const struck = computed(() => (store.scenario ? exposedBy(props.move, present(position.value), store.scenario) : []))
/** Holds without which it cannot be tried, and that are not on here: another move must put them on first. */
const first = computed(() =>
  (props.move.needs ?? [])
    .filter((id) => !position.value?.holds?.includes(id))
    .map((id) => lookUp(chart.value.holds, id)?.name),
)
/** What must be seen for it to be tried. */
const cues = computed(() => (props.move.when ?? []).flatMap((id) => lookUp(chart.value.cues ?? [], id)?.name ?? []))
const guess = computed(() => sayGuess(chart.value, props.move.id, props.move.tries))
/** What it answers. */
const inReplyTo = computed(() => {
  const answered = chart.value.answers.filter((answer) => answer.move === props.move.id)
  const names = answered.flatMap(({ reaction }) => lookUp(chart.value.reactions, reaction)?.name ?? [])
  return names.length ? t('worksheet.toNames', { names: names.map(lowerFirst).join('”, “') }) : ''
})

/** Its ten tries are asked for at once: what stands there until then is a guess. */
async function tryCold() {
  const { id, name } = props.move
  charts.edit(t('common.nameTriedColdToo', { name }), (draft) => setReply(draft, id, false))
  await nextTick()
  card.value?.querySelector<HTMLElement>('[role="spinbutton"]')?.focus()
}

const newRace = useNewRace()
const race = () => newRace(props.move, { of: 'move', move: props.move.id })

const isSelected = computed(() => selected.value.move?.id === props.move.id)

function remove() {
  const { id, name } = props.move
  goToRow(present(card.value), -1)
  removing({ id, name }, (draft) => removeMove(draft, id))
}

function shift(by: 1 | -1) {
  const at = moves.value.findIndex(({ id }) => id === props.move.id)
  const target = moves.value[by < 0 ? at - 1 : at + 2]
  if (by < 0 ? at === 0 : at === moves.value.length - 1) return
  charts.edit(t('common.moveName', { name: props.move.name }), (draft) =>
    moveMove(draft, props.move.id, target?.id ?? null),
  )
}

function onKey(event: KeyboardEvent) {
  if (event.target !== card.value) return
  if (event.altKey && event.key === 'ArrowUp') shift(-1)
  else if (event.altKey && event.key === 'ArrowDown') shift(1)
  else if (event.key === 'ArrowDown') goToRow(present(card.value), 1)
  else if (event.key === 'ArrowUp') goToRow(present(card.value), -1)
  else if (event.key === 'Delete') remove()
  else if (event.key === 'Enter') select(props.move.id)
  else if (event.key.toLowerCase() === 'l' && !event.ctrlKey && !event.metaKey) isSaying.value = true
  else return
  event.preventDefault()
}
</script>

<template>
  <article
    ref="card"
    class="panel card keep-together"
    :class="{ best: isBest, selected: isSelected, out: forbidden }"
    tabindex="0"
    :data-row="move.id"
    :aria-label="t('worksheet.moveToTo', { move: move.name, to: nameOf(move.to) })"
    @keydown="onKey"
    @click.self="select(move.id)"
    @focus="isSelected || select(move.id)"
  >
    <header>
      <h2>
        <InlineText
          :value="move.name"
          :label="t('worksheet.nameOfTheMove')"
          required
          @change="
            (name) =>
              charts.edit(t('worksheet.renameToName', { name }), (draft) => rename(draft, 'moves', move.id, name))
          "
        />
      </h2>
      <span class="muted to">{{
        move.to === 'finish'
          ? t('worksheet.toAFinish')
          : move.to === move.from
            ? t('common.staysHere')
            : t('common.toGoal', { goal: nameOf(move.to) })
      }}</span>
      <span v-if="forbidden" class="small forbidden">{{ forbidden }}</span>
      <span v-for="one in struck" :key="one.uses" class="small forbidden">{{ one.says }}</span>
      <span v-if="move.reply" class="small muted">{{ t('worksheet.onlyInReplyInReplyTo', { inReplyTo }) }}</span>
      <span v-if="cues.length" class="small">{{ t('worksheet.onlyWhenWeSeeCues', { cues: cues.join('”, “') }) }}</span>
      <span v-if="first.length" class="small muted">{{
        t('worksheet.needsFirstFirst', { first: first.join(', ') })
      }}</span>
      <span v-if="isBest" class="tag">{{
        best?.isShown ? t('worksheet.bestHereOnlyShown') : t('worksheet.bestHere')
      }}</span>
      <span v-else-if="figure?.isShown" class="small muted">{{ t('worksheet.worthMoreOnlyShown') }}</span>
      <HazardBadge v-if="move.hazard?.part" :part="move.hazard.part" />
      <span class="tools">
        <el-button text :data-tip="t('worksheet.writeItAsALineL')" @click="isSaying = !isSaying">
          {{ t('worksheet.asALine') }}
        </el-button>
        <IconButton
          :icon="ArrowUp"
          :name="t('common.runUp', { run: move.name })"
          :tip="t('worksheet.upAlt')"
          @click="shift(-1)"
        />
        <IconButton
          :icon="ArrowDown"
          :name="t('common.nameDown', { name: move.name })"
          :tip="t('worksheet.downAlt')"
          @click="shift(1)"
        />
        <IconButton
          :icon="Close"
          :name="t('common.removeName', { name: move.name })"
          :tip="t('worksheet.removeDelete')"
          @click="remove"
        />
      </span>
      <AskedFigure
        :value="figure?.value"
        :asked="{ of: 'move', move: move.id }"
        :label="t('common.worthOfMove', { move: move.name })"
      />
    </header>
    <ForkLine v-if="isSaying" :move="move" @close="isSaying = false" />
    <TenTries
      v-if="isOwn(move)"
      :parts="stripOf(wholeOf(move))"
      :name="move.name"
      @set="(counts, join) => setCounts({ of: 'move', move: move.id }, wholeOf(move), counts, move.name, join)"
    />
    <LandingMarks v-if="logged" :what="{ move: move.id }" />
    <RaceLine v-if="move.race" :move="move" :race="move.race" :owner="{ of: 'move', move: move.id }" />
    <p v-if="guess" class="muted small">{{ guess }}</p>
    <el-button v-if="move.reply" text class="cold" @click="tryCold">
      {{ t('worksheet.alsoTriedCold') }}
    </el-button>
    <ul>
      <ReactionRow v-for="id in reactions" :key="id" :reaction-id="id" :move="move" />
    </ul>
    <div class="add">
      <AddReaction v-if="!move.reply" :move="move" />
      <el-button v-if="!move.race" text class="cold" :data-tip="t('worksheet.someOfItIsARace')" @click="race">
        {{ t('worksheet.addARace') }}
      </el-button>
    </div>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  padding: var(--space-12) var(--space-12) var(--space-8) var(--space-16);
}

.card::before {
  content: '';
  position: absolute;
  inset: -1px auto -1px -1px;
  width: 6px;
  border-radius: var(--corner-panel) 0 0 var(--corner-panel);
}

.best::before {
  background: var(--ours);
}

.out > :not(header) {
  opacity: 0.55;
}

.forbidden {
  color: var(--caution);
}

.cold {
  justify-self: start;
  min-height: var(--control);
  margin-left: calc(-1 * var(--space-8));
  padding: 0 var(--space-8);
  font-size: var(--type-small);
}

.add {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-16);
  align-items: baseline;
}

.selected {
  border-color: var(--ours);
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-4) var(--space-12);
}

.to {
  font-size: var(--type-body);
}

.tag {
  font: var(--weight-strong) var(--type-body) / 1.2 var(--label);
  color: var(--ours);
}

header :deep(.figure) {
  margin-left: auto;
}

/* Over the end of the head, beside the worth: they take no room while they are not needed. */
.tools {
  position: absolute;
  z-index: 1;
  top: var(--space-8);
  right: 60px;
  display: inline-flex;
  align-items: center;
  border-radius: var(--corner);
  background: var(--panel);
  opacity: 0;
  pointer-events: none;
}

.tools .el-button {
  min-height: var(--control);
  padding: 0 var(--space-8);
}

.card:hover .tools,
.card:focus .tools,
.selected .tools,
.tools:focus-within {
  opacity: 1;
  pointer-events: auto;
}

@media (hover: none) or (width < 1240px) {
  .tools {
    position: static;
    opacity: 1;
    pointer-events: auto;
  }
}
</style>
