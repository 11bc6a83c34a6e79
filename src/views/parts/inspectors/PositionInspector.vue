<script setup lang="ts">
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
import { counted } from '../../../core/say/figureText'
import { useRouter } from 'vue-router'
import { useWorksheet } from './sheet'
import { useRemoving } from '../removing'

/** A position in detail: its family, who is ahead, what ending here is worth, and what they do unprompted. */
const props = defineProps<{ position: Position }>()
const { chart, moves, nameOf } = useWorksheet()
const charts = useCharts()
const removing = useRemoving()
const router = useRouter()
const AHEAD_TEXT: Record<Ahead, string> = { ours: 'we are', even: 'nobody is', theirs: 'they are' }

const holds = computed(() => (props.position.holds ?? []).map((id) => lookUp(chart.value.holds, id)?.name ?? id))
const into = computed(() =>
  chart.value.moves.filter(({ to, from }) => to === props.position.id && from !== props.position.id),
)
const others = computed(() =>
  chart.value.reactions.filter(({ id }) => props.position.unprompted?.reactions[id] === undefined),
)

function set<F extends keyof Position>(label: string, field: F, value: Position[F] | undefined) {
  const { id, name } = props.position
  charts.edit(`${label} of ${name}`, (draft) => setField(draft, 'positions', id, field, value))
}

function pickAhead(picked: string) {
  const { id, name } = props.position
  const ahead = AHEAD.find((one) => one === picked)
  if (ahead) charts.edit(`Ahead of ${name}`, (draft) => setAhead(draft, id, ahead))
}

function pickFamily(family: string) {
  const { id, name } = props.position
  charts.edit(`Family of ${name}`, (draft) => setFamily(draft, id, family))
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
  charts.edit(`Threat of ${name}`, (draft) => setThreat(draft, id, every))
}

function setOutEvery(event: Event) {
  const value = valueOf(event)
  const { id, name } = props.position
  const every = value === '' ? undefined : Number(value)
  charts.edit(`Getting out of ${name}`, (draft) => setOut(draft, id, every))
}

/** Where the position is ours, over is what an empty field means. */
const slipEnds = computed((): Partial<typeof END_WORDS> => {
  const { over: _, ...others } = END_WORDS
  return props.position.ahead === 'theirs' ? END_WORDS : others
})
const setSlipsTo = (place: string) =>
  set('What slips', 'slipsTo', place === '' ? undefined : isEndId(place) ? place : toPositionId(place))

function setStill(every: number, reactions: Record<string, number>) {
  const { id, name } = props.position
  charts.edit(`Unprompted in ${name}`, (draft) => setUnprompted(draft, id, every, reactions))
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
      <p v-if="holds.length" class="muted small">With: {{ holds.join('; ') }}</p>
    </header>
    <div class="fields">
      <label
        ><span class="label">Family</span>
        <input
          class="field"
          list="families"
          :value="familyName(position.family)"
          @change="pickFamily(familyNamed(valueOf($event).trim()))"
        />
        <datalist id="families">
          <option v-for="family in FAMILIES" :key="family" :value="familyName(family)" />
        </datalist>
      </label>
      <label
        ><span class="label">Who is ahead{{ isGuess(position, 'ahead') ? ' (a guess)' : '' }}</span>
        <select class="field" :value="position.ahead" @change="pickAhead(valueOf($event))">
          <option v-for="ahead in AHEAD" :key="ahead" :value="ahead">{{ AHEAD_TEXT[ahead] }}</option>
        </select>
      </label>
      <label
        ><span class="label">Broken up after, seconds</span>
        <SteadyInput
          class="field"
          type="number"
          min="1"
          placeholder="as usual"
          :value="position.breakUp"
          @change="setNumber('Break-up', 'breakUp', $event)"
        />
      </label>
      <label
        ><span class="label">Worth if time ends here</span>
        <SteadyInput
          class="field"
          type="number"
          min="-1"
          max="1"
          step="0.05"
          placeholder="as usual"
          :value="position.endWorth"
          @change="setNumber('Worth', 'endWorth', $event)"
        />
      </label>
      <label class="across"
        ><span class="label">They finish us here about every … seconds</span>
        <SteadyInput
          class="field"
          type="number"
          min="1"
          placeholder="they do not"
          :value="position.threat?.every"
          @change="setEvery"
        />
      </label>
      <label class="across"
        ><span class="label"
          >A good partner is out of here after about … seconds{{ isGuess(position, 'out') ? ' (a guess)' : '' }}</span
        >
        <SteadyInput
          class="field"
          type="number"
          min="1"
          placeholder="not but by what is charted"
          :value="position.out?.every"
          @change="setOutEvery"
        />
      </label>
      <label class="across"
        ><span class="label">A failed try that loses the position leads to</span>
        <select class="field" :value="position.slipsTo ?? ''" @change="setSlipsTo(valueOf($event))">
          <option value="">{{ position.ahead === 'theirs' ? 'nowhere: nothing is lost' : END_WORDS.over }}</option>
          <option v-for="(words, end) in slipEnds" :key="end" :value="end">{{ words }}</option>
          <option v-for="{ id, name } in chart.positions.filter((one) => one.id !== position.id)" :key="id" :value="id">
            {{ name }}
          </option>
        </select>
      </label>
      <NotesField :value="position.notes" @change="(notes) => set('Notes', 'notes', notes)" />
    </div>
    <section aria-label="While we hold still">
      <h3>While we hold still they…</h3>
      <div class="list">
        <label v-for="(n, id) in position.unprompted?.reactions ?? {}" :key="id" class="still">
          <SteadyInput
            class="field"
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
            class="field"
            type="number"
            min="1"
            :value="position.unprompted.every"
            @change="setStill(Number(valueOf($event)), position.unprompted!.reactions)"
          />
          <span class="muted">seconds until one of these comes</span>
        </label>
        <select
          class="field"
          aria-label="They also do, unprompted"
          value=""
          @change="
            setStill(position.unprompted?.every ?? 10, {
              ...position.unprompted?.reactions,
              [valueOf($event)]: 1,
            })
          "
        >
          <option value="" disabled>+ what they do</option>
          <option v-for="{ id, name, endsIn } in others" :key="id" :value="id">
            {{ name }} ({{ nameOf(endsIn) }})
          </option>
        </select>
      </div>
    </section>
    <p class="muted small">
      {{ counted(moves.length, 'move') }} from here<template v-if="into.length"
        >; {{ into.map(({ name }) => name).join(', ') }} {{ into.length === 1 ? 'lands' : 'land' }} here</template
      >.
    </p>
    <button type="button" class="button quiet" @click="remove">Remove this position</button>
  </div>
</template>

<style scoped src="./inspector.css"></style>

<style scoped>
.still {
  display: grid;
  grid-template-columns: 64px 1fr;
  align-items: center;
  gap: 8px;
}
</style>
