<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { named, worded } from '../../../components/options'
import { valueOf } from '../../../components/events'
import { computed } from 'vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import NotesField from '../../../components/NotesField.vue'
import { setField } from '../../../core/chart/edits/fields'
import { removePosition, setAhead, setFamily, setOut, setThreat } from '../../../core/chart/edits/records'
import { setUnprompted } from '../../../core/chart/edits/tries'
import { isGuess } from '../../../core/chart/guesses'
import type { Position } from '../../../core/chart/position'
import { AHEAD, FAMILIES, type Ahead } from '../../../core/chart/words'
import { isEndId, toPositionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import { END_WORDS, familyName, familyNamed } from '../../../core/chart/placeNames'
import { useCharts } from '../../../stores/charts'
import { useRouter } from 'vue-router'
import { useWorksheet } from './sheet'
import { useRemoving } from '../removing'
import { t } from '../../../words/inspector'

/** A position in detail: its family, who is ahead, what ending here is worth, and what they do unprompted. */
const props = defineProps<{ position: Position }>()
const { chart, moves, nameOf } = useWorksheet()
const charts = useCharts()
const removing = useRemoving()
const router = useRouter()
const AHEAD_TEXT: Record<Ahead, string> = {
  ours: t('common.weAre'),
  even: t('inspector.nobodyIs'),
  theirs: t('common.theyAre'),
}

const holds = computed(() => (props.position.holds ?? []).map((id) => lookUp(chart.value.holds, id)?.name ?? id))
const into = computed(() =>
  chart.value.moves.filter(({ to, from }) => to === props.position.id && from !== props.position.id),
)
const others = computed(() =>
  chart.value.reactions.filter(({ id }) => props.position.unprompted?.reactions[id] === undefined),
)

function set<F extends keyof Position>(label: string, field: F, value: Position[F] | undefined) {
  const { id, name } = props.position
  charts.edit(t('common.fieldOfName', { field: label, name }), (draft) =>
    setField(draft, 'positions', id, field, value),
  )
}

function pickAhead(picked: string) {
  const { id, name } = props.position
  const ahead = AHEAD.find((one) => one === picked)
  if (ahead) charts.edit(t('inspector.aheadOfName', { name }), (draft) => setAhead(draft, id, ahead))
}

function pickFamily(family: string) {
  const { id, name } = props.position
  charts.edit(t('inspector.familyOfName', { name }), (draft) => setFamily(draft, id, family))
}

/** A number, or nothing; what it may be, the chart says. */
function setNumber(label: string, field: 'breakUp' | 'endWorth', event: Event) {
  const value = valueOf(event)
  set(label, field, value === '' ? undefined : Number(value))
}

function setEvery(event: Event) {
  const value = valueOf(event)
  const { id, name } = props.position
  const every = value === '' ? undefined : Number(value)
  charts.edit(t('inspector.threatOfName', { name }), (draft) => setThreat(draft, id, every))
}

function setOutEvery(event: Event) {
  const value = valueOf(event)
  const { id, name } = props.position
  const every = value === '' ? undefined : Number(value)
  charts.edit(t('common.gettingOutOfName', { name }), (draft) => setOut(draft, id, every))
}

/** Where the position is ours, over is what an empty field means. */
const slipEnds = computed((): Partial<typeof END_WORDS> => {
  const { over: _, ...others } = END_WORDS
  return props.position.ahead === 'theirs' ? END_WORDS : others
})
const setSlipsTo = (place: string) =>
  set(t('inspector.whatSlips'), 'slipsTo', place === '' ? undefined : isEndId(place) ? place : toPositionId(place))

function setStill(every: number, reactions: Record<string, number>) {
  const { id, name } = props.position
  charts.edit(t('inspector.unpromptedInName', { name }), (draft) => setUnprompted(draft, id, every, reactions))
}

async function remove() {
  const { id, name } = props.position
  await router.push('/worksheet')
  removing({ id, name }, (draft) => removePosition(draft, id))
}
</script>

<template>
  <div class="inspector">
    <header>
      <h2>{{ position.name }}</h2>
      <p v-if="holds.length" class="muted small">{{ t('inspector.withHolds', { holds: holds.join('; ') }) }}</p>
    </header>
    <div class="fields">
      <label
        ><span class="label">{{ t('inspector.family') }}</span>
        <SteadyInput
          list="families"
          :value="familyName(position.family)"
          @change="pickFamily(familyNamed(valueOf($event).trim()))"
        />
        <datalist id="families">
          <option v-for="family in FAMILIES" :key="family" :value="familyName(family)" />
        </datalist>
      </label>
      <label
        ><span class="label">{{
          t('inspector.whoIsAheadPosition', { position: isGuess(position, 'ahead') ? t('common.aGuess') : '' })
        }}</span>
        <PickList
          :value="position.ahead"
          :options="AHEAD.map((ahead) => ({ value: ahead, label: AHEAD_TEXT[ahead] }))"
          @change="(picked) => pickAhead(picked)"
        />
      </label>
      <label
        ><span class="label">{{ t('inspector.brokenUpAfterSeconds') }}</span>
        <SteadyInput
          type="number"
          min="1"
          :placeholder="t('inspector.asUsual')"
          :value="position.breakUp"
          @change="setNumber(t('inspector.whenItIsBrokenUp'), 'breakUp', $event)"
        />
      </label>
      <label
        ><span class="label">{{ t('inspector.worthIfTimeEndsHere') }}</span>
        <SteadyInput
          type="number"
          min="-1"
          max="1"
          step="0.05"
          :placeholder="t('inspector.asUsual')"
          :value="position.endWorth"
          @change="setNumber(t('common.worth2'), 'endWorth', $event)"
        />
      </label>
      <label class="across"
        ><span class="label">{{ t('inspector.theyFinishUsHereAboutEvery') }}</span>
        <SteadyInput
          type="number"
          min="1"
          :placeholder="t('inspector.theyDoNot')"
          :value="position.threat?.every"
          @change="setEvery"
        />
      </label>
      <label class="across"
        ><span class="label">{{
          t('inspector.aGoodPartnerIsOutOf', { position: isGuess(position, 'out') ? t('common.aGuess') : '' })
        }}</span>
        <SteadyInput
          type="number"
          min="1"
          :placeholder="t('inspector.notButByWhatIsCharted')"
          :value="position.out?.every"
          @change="setOutEvery"
        />
      </label>
      <label class="across"
        ><span class="label">{{ t('inspector.aFailedTryThatLosesThe') }}</span>
        <PickList
          :value="position.slipsTo ?? ''"
          :options="[
            { value: '', label: position.ahead === 'theirs' ? t('inspector.nowhereNothingIsLost') : END_WORDS.over },
            ...worded(slipEnds),
            ...named(chart.positions.filter((one) => one.id !== position.id)),
          ]"
          @change="(picked) => setSlipsTo(picked)"
        />
      </label>
      <NotesField :value="position.notes" @change="(notes) => set(t('common.notes'), 'notes', notes)" />
    </div>
    <section :aria-label="t('common.whileWeHoldStill')">
      <h3>{{ t('inspector.whileWeHoldStillThey') }}</h3>
      <div class="list">
        <label v-for="(n, id) in position.unprompted?.reactions ?? {}" :key="id" class="still">
          <SteadyInput
            type="number"
            min="0"
            max="1000"
            :value="n"
            @change="
              setStill(position.unprompted!.every, {
                ...position.unprompted!.reactions,
                [id]: Number(valueOf($event)),
              })
            "
          />
          <span>{{ lookUp(chart.reactions, id)?.name }}</span>
        </label>
        <label v-if="position.unprompted" class="still">
          <SteadyInput
            type="number"
            min="1"
            :value="position.unprompted.every"
            @change="setStill(Number(valueOf($event)), position.unprompted!.reactions)"
          />
          <span class="muted">{{ t('inspector.secondsUntilOneOfTheseComes') }}</span>
        </label>
        <PickList
          :aria-label="t('inspector.theyAlsoDoUnprompted')"
          :placeholder="t('common.whatTheyDo')"
          :options="others.map(({ id, name, endsIn }) => ({ value: id, label: `${name} (${nameOf(endsIn)})` }))"
          @change="
            (picked) =>
              setStill(position.unprompted?.every ?? 10, {
                ...position.unprompted?.reactions,
                [picked]: 1,
              })
          "
        />
      </div>
    </section>
    <p class="muted small">
      {{ t('inspector.movesFromHere', moves.length) }}
      {{ into.length ? t('inspector.landHere', { names: into.map(({ name }) => name).join(', ') }, into.length) : '' }}
    </p>
    <el-button text @click="remove">{{ t('inspector.removeThisPosition') }}</el-button>
  </div>
</template>

<style scoped src="./inspector.css"></style>

<style scoped>
.still {
  display: grid;
  grid-template-columns: 64px 1fr;
  align-items: center;
  gap: var(--space-8);
}
</style>
