<script setup lang="ts">
import { valueOf } from '../../../components/events'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { clockRefusal, clockText, counted, readClock } from '../../../core/say/figureText'
import InlineText from '../../../components/InlineText.vue'
import NotesField from '../../../components/NotesField.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { removeRuleSet, setPoints, setRule } from '../../../core/chart/edits/ruleSets'
import { SCORING_ACTIONS, type RuleSet, type ScoringAction } from '../../../core/chart/rules/ruleSet'
import { strikeChangesOf } from '../../../core/chart/rules/ruleSets'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import RuleTags from './RuleTags.vue'
import ScoredTable from './ScoredTable.vue'
import { takenOut } from './rules'
import { useRemoving } from '../../parts/removing'

/** One set of rules: rounds, what scores, what is out and what strikes change. The chart's own can be changed. */
const props = defineProps<{ set: RuleSet; isOwn: boolean }>()
const emit = defineEmits<{ copy: [] }>()
const charts = useCharts()
const removing = useRemoving()
const figures = useFigures()

const isInForce = computed(() => figures.rules?.id === props.set.id)
const out = computed(() => takenOut(present(charts.chart), props.set))
const struck = (uses: string) =>
  present(charts.chart).reactions.filter((one) =>
    strikeChangesOf([...(one.uses ?? []), ...(one.usesAny ?? [])], props.set.strikes ?? []).some(
      (change) => change.uses === uses,
    ),
  )

function change<F extends Exclude<keyof RuleSet, 'id'>>(label: string, field: F, value: RuleSet[F] | undefined) {
  const { id, name } = props.set
  charts.edit(`${label}, ${name}`, (draft) => setRule(draft, id, field, value))
}

const numberIn = (event: Event) => Number(valueOf(event).replace(',', '.'))

const setClothes = (said: string) => change('Clothes', 'gi', said ? said === 'gi' : undefined)

function setActionPoints(action: ScoringAction, event: Event) {
  const { id, name } = props.set
  charts.edit(`Points, ${name}`, (draft) => setPoints(draft, id, action, numberIn(event)))
}

function setLength(event: Event) {
  const seconds = readClock(valueOf(event))
  if (!seconds) return void charts.tell(`${clockRefusal(valueOf(event), '6:00 or 360')}.`)
  change('Rounds', 'rounds', { count: props.set.rounds?.count ?? 1, seconds })
}

function setControl(points: number, every: number) {
  change('Control time', 'controlTime', points === 0 ? undefined : { every, points })
}

function remove() {
  const { id } = props.set
  removing(props.set, (draft) => removeRuleSet(draft, id))
}
</script>

<template>
  <section class="sheet" :aria-label="set.name">
    <header>
      <h2>
        <InlineText
          v-if="isOwn"
          :value="set.name"
          label="Name of the rules"
          required
          @change="(name) => change('Rename', 'name', name)"
        />
        <template v-else>{{ set.name }}</template>
      </h2>
      <span class="muted">{{
        [set.gi === undefined ? '' : set.gi ? 'gi' : 'no-gi', set.level].filter(Boolean).join(' · ')
      }}</span>
      <span class="tools">
        <button
          v-if="!isInForce"
          type="button"
          class="button primary"
          @click="figures.setScenario({ rules: set.id, ...(set.rounds ? { seconds: set.rounds.seconds } : {}) })"
        >
          Plan under these
        </button>
        <button type="button" class="button" @click="emit('copy')">{{ isOwn ? 'Copy' : 'Copy to change' }}</button>
        <button v-if="isOwn" type="button" class="button" @click="remove">Remove</button>
      </span>
    </header>
    <p v-if="!isOwn && set.notes" class="notes">{{ set.notes }}</p>
    <NotesField v-if="isOwn" :value="set.notes ?? ''" @change="(notes: string) => change('Notes', 'notes', notes)" />
    <div class="blocks">
      <div>
        <fieldset :disabled="!isOwn">
          <legend>Rounds</legend>
          <label>
            <SteadyInput
              class="field tiny"
              :value="set.rounds?.count ?? ''"
              aria-label="Rounds"
              @change="change('Rounds', 'rounds', { count: numberIn($event), seconds: set.rounds?.seconds ?? 300 })"
            />
            of
            <SteadyInput
              class="field short"
              :value="set.rounds ? clockText(set.rounds.seconds) : ''"
              aria-label="Length of a round"
              @change="setLength"
            />
          </label>
          <div v-if="isOwn" class="choices">
            <select
              class="field"
              aria-label="Clothes"
              :value="set.gi === undefined ? '' : set.gi ? 'gi' : 'no-gi'"
              @change="setClothes(valueOf($event))"
            >
              <option value="">gi or no-gi</option>
              <option value="gi">gi</option>
              <option value="no-gi">no-gi</option>
            </select>
            <InlineText
              :value="set.level ?? ''"
              label="Level"
              placeholder="for whom"
              @change="(level) => change('Level', 'level', level)"
            />
          </div>
        </fieldset>
        <ScoredTable v-if="isInForce" class="scored" />
      </div>
      <fieldset :disabled="!isOwn">
        <legend>What scores</legend>
        <label v-for="(name, score) in SCORING_ACTIONS" :key="score" class="score">
          <span>{{ name }}</span>
          <SteadyInput
            class="field tiny"
            :value="set.points?.[score] ?? 0"
            :aria-label="`Points for ${name}`"
            @change="setActionPoints(score, $event)"
          />
        </label>
        <label class="score">
          <span>control on the ground</span>
          <SteadyInput
            class="field tiny"
            :value="set.controlTime?.points ?? 0"
            aria-label="Points for control"
            @change="setControl(numberIn($event), set.controlTime?.every ?? 30)"
          />
        </label>
        <label v-if="set.controlTime" class="score">
          <span>for every so many seconds</span>
          <SteadyInput
            class="field tiny"
            :value="set.controlTime.every"
            aria-label="Seconds of control that score"
            @change="setControl(set.controlTime.points, numberIn($event))"
          />
        </label>
      </fieldset>
      <RuleTags class="wide" :set="set" :is-own="isOwn" />
    </div>
    <section v-if="out.length" aria-label="Out of this chart">
      <h3>Out of this chart</h3>
      <p class="out">
        <RouterLink
          v-for="move in out"
          :key="move.id"
          :to="{ path: `/worksheet/${move.from}`, query: { move: move.id } }"
          >{{ move.name }}</RouterLink
        >
      </p>
    </section>
    <section v-if="set.strikes?.length" aria-label="What strikes change">
      <h3>What strikes change</h3>
      <ul>
        <li v-for="one in set.strikes" :key="one.uses">
          {{ one.says }}
          <span class="muted small"
            >{{ Math.round(one.left * 100) }} % of what needs it is left (a guess):
            {{ struck(one.uses).length ? counted(struck(one.uses).length, 'reaction') : 'no reaction' }} here.</span
          >
        </li>
      </ul>
    </section>
  </section>
</template>

<style scoped>
.sheet {
  padding: 14px 18px 60px;
  overflow-y: auto;
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 6px 12px;
}

.tools {
  display: inline-flex;
  gap: 8px;
  margin-left: auto;
}

.notes {
  margin-top: 4px;
  color: var(--caution);
}

.blocks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 10px 20px;
  align-items: start;
  margin: 12px 0;
}

fieldset {
  min-width: 0;
  margin: 0;
  padding: 0;
  border: 0;
}

.wide {
  grid-column: 1 / -1;
}

legend,
h3 {
  margin: 6px 0 4px;
  font: 700 18px/1.3 var(--label);
}

h3 {
  color: var(--ink);
}

.scored {
  margin-top: 14px;
}

.score {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 2px 0;
  border-top: 1px solid var(--line);
}

.field {
  min-height: 28px;
  padding: 1px 6px;
}

.tiny {
  width: 54px;
  text-align: right;
}

.short {
  width: 72px;
}

.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 6px;
}

.choices .field {
  width: auto;
}

fieldset:disabled .field {
  border-color: transparent;
  background: none;
  color: inherit;
  opacity: 1;
}

.out {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}

li {
  padding: 4px 0;
  border-top: 1px solid var(--line);
}

@media (width < 900px) {
  .sheet {
    overflow: visible;
  }
}

@media (width < 620px) {
  .blocks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
