<script setup lang="ts">
import { computed } from 'vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import NotesField from '../../../components/NotesField.vue'
import { positionIn } from '../../../core/chart/edits/find'
import { removePosition } from '../../../core/chart/edits/records'
import { setUnprompted } from '../../../core/chart/edits/tries'
import type { Position } from '../../../core/chart/position'
import { AHEAD, FAMILIES, type Ahead } from '../../../core/chart/words'
import { lookUp } from '../../../core/chart/lookUp'
import { useCharts } from '../../../stores/charts'
import { counted } from '../../../components/figureText'
import { useRouter } from 'vue-router'
import { useWorksheet } from './sheet'

/** A position in detail: its family, who is ahead, what ending here is worth, and what they do unprompted. */
const props = defineProps<{ position: Position }>()
const { chart, moves, nameOf } = useWorksheet()
const charts = useCharts()
const router = useRouter()
const AHEAD_TEXT: Record<Ahead, string> = { ours: 'we are', even: 'nobody is', theirs: 'they are' }

const holds = computed(() => (props.position.holds ?? []).map((id) => lookUp(chart.value.holds, id)?.name ?? id))
const into = computed(() =>
  chart.value.moves.filter(({ to, from }) => to === props.position.id && from !== props.position.id),
)
const others = computed(() =>
  chart.value.reactions.filter(({ id }) => props.position.unprompted?.reactions[id] === undefined),
)

function set(label: string, change: (position: Position) => void) {
  charts.edit(`${label} of ${props.position.name}`, (draft) => change(positionIn(draft, props.position.id)))
}

type NumberField = 'breakUp' | 'endWorth'
function setNumber(field: NumberField, event: Event, least: number, most: number) {
  const input = event.target as HTMLInputElement
  const value = Number(input.value)
  const isFine = input.value === '' || (Number.isFinite(value) && value >= least && value <= most)
  if (!isFine) {
    input.value = String(props.position[field] ?? '')
    return charts.tell(`A number from ${least} to ${most}, or nothing.`, 'warning')
  }
  set(field === 'breakUp' ? 'Break-up' : 'Worth', (position) => {
    if (input.value === '') delete position[field]
    else position[field] = value
  })
}

function setThreat(event: Event) {
  const every = Number((event.target as HTMLInputElement).value)
  set('Threat', (position) => {
    if (every >= 1) position.threat = { ...position.threat, every }
    else delete position.threat
  })
}

function setStill(every: number, reactions: Record<string, number>) {
  if (!(every >= 1)) return charts.tell('Mean seconds, at least 1.', 'warning')
  charts.edit(`Unprompted in ${props.position.name}`, (draft) =>
    setUnprompted(draft, props.position.id, every, reactions),
  )
}

async function remove() {
  const { id, name } = props.position
  const lost = chart.value.moves.filter(({ from, to }) => from === id || to === id).length
  await router.push('/worksheet')
  charts.edit(`Remove ${name}`, (draft) => removePosition(draft, id))
  charts.tell(`Removed ${name} with ${counted(lost, 'move')}.`)
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
          :value="position.family"
          @change="
            set('Family', (draft) => (draft.family = ($event.target as HTMLInputElement).value.trim() || draft.family))
          "
        />
        <datalist id="families"><option v-for="family in FAMILIES" :key="family" :value="family" /></datalist>
      </label>
      <label
        ><span class="label">Who is ahead</span>
        <select
          class="field"
          :value="position.ahead"
          @change="set('Ahead', (draft) => (draft.ahead = ($event.target as HTMLSelectElement).value as Ahead))"
        >
          <option v-for="ahead in AHEAD" :key="ahead" :value="ahead">{{ AHEAD_TEXT[ahead] }}</option>
        </select>
      </label>
      <label
        ><span class="label">Breaks up, seconds</span>
        <SteadyInput
          class="field"
          type="number"
          min="1"
          placeholder="as usual"
          :value="position.breakUp"
          @change="setNumber('breakUp', $event, 1, 86400)"
        />
      </label>
      <label
        ><span class="label">Worth of ending here</span>
        <SteadyInput
          class="field"
          type="number"
          min="-1"
          max="1"
          step="0.05"
          placeholder="as usual"
          :value="position.endWorth"
          @change="setNumber('endWorth', $event, -1, 1)"
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
          @change="setThreat"
        />
      </label>
      <NotesField :value="position.notes" @change="(notes) => set('Notes', (draft) => (draft.notes = notes))" />
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
                [id]: Number(($event.target as HTMLInputElement).value),
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
            @change="setStill(Number(($event.target as HTMLInputElement).value), position.unprompted!.reactions)"
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
              [($event.target as HTMLSelectElement).value]: 1,
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
