<script setup lang="ts">
import { ref } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import TokenField from '../../../components/TokenField.vue'
import {
  addCheckpoint,
  removeCheckpoint,
  setCheckpoint,
  setFault,
  shiftCheckpoint,
} from '../../../core/chart/edits/checkpoints'
import type { Checkpoint, Move } from '../../../core/chart/move'
import { useCharts } from '../../../stores/charts'
import GateField from './GateField.vue'
import { useTokens } from './tokens'

/** What must be true, in order; how one tests it; what may not be let go before; and the usual mistake. */
const props = defineProps<{ move: Move }>()
const charts = useCharts()
const next = ref('')
const { tokens, said } = useTokens(() => props.move.from)

function add() {
  const text = next.value.trim()
  if (!text) return
  charts.edit(`Checkpoint of ${props.move.name}`, (draft) => void addCheckpoint(draft, props.move.id, text))
  next.value = ''
}

const set = (id: string, field: 'text' | 'test' | 'until', value: string) =>
  charts.edit(`Checkpoint of ${props.move.name}`, (draft) => setCheckpoint(draft, props.move.id, id, field, value))
const fault = (id: string, field: 'mistake' | 'result' | 'fix', value: string) =>
  charts.edit(`Mistake in ${props.move.name}`, (draft) => setFault(draft, props.move.id, id, field, value))
const remove = (id: string) =>
  charts.edit(`Remove a checkpoint of ${props.move.name}`, (draft) => removeCheckpoint(draft, props.move.id, id))
const shift = (id: string, by: 1 | -1) =>
  charts.edit(`Move a checkpoint of ${props.move.name}`, (draft) => shiftCheckpoint(draft, props.move.id, id, by))

const open = ref(new Set<string>())
const isOpen = ({ id, test, until, fault: mistake }: Checkpoint) => ({
  test: Boolean(test) || open.value.has(id),
  until: Boolean(until) || open.value.has(id),
  fault: Boolean(mistake) || open.value.has(id),
})

function more(id: string) {
  open.value = open.value.has(id) ? new Set([...open.value].filter((one) => one !== id)) : new Set([...open.value, id])
}
</script>

<template>
  <section aria-label="Checkpoints">
    <h3>In this order</h3>
    <ol>
      <li v-for="(checkpoint, i) in move.checkpoints ?? []" :key="checkpoint.id">
        <span class="number" aria-hidden="true">{{ i + 1 }}</span>
        <div>
          <InlineText
            :value="checkpoint.text"
            :label="`Checkpoint ${i + 1}`"
            :tokens="tokens"
            required
            @change="set(checkpoint.id, 'text', $event)"
            >{{ said(checkpoint.text) }}</InlineText
          >
          <p v-if="isOpen(checkpoint).test" class="small">
            <span class="muted">test: </span
            ><InlineText
              :value="checkpoint.test ?? ''"
              label="How one tests it"
              placeholder="how one tests it"
              :tokens="tokens"
              @change="set(checkpoint.id, 'test', $event)"
              >{{ said(checkpoint.test) }}</InlineText
            >
          </p>
          <p v-if="isOpen(checkpoint).until" class="small gate">
            <InlineText
              :value="checkpoint.until ?? ''"
              label="Do not let go until"
              placeholder="do not let go of … until …"
              :tokens="tokens"
              @change="set(checkpoint.id, 'until', $event)"
              >{{ said(checkpoint.until) }}</InlineText
            >
          </p>
          <GateField v-if="checkpoint.gate || open.has(checkpoint.id)" :move="move" :checkpoint="checkpoint" />
          <p v-if="isOpen(checkpoint).fault" class="small mistake">
            <span class="muted">mistake: </span
            ><InlineText
              :value="checkpoint.fault?.mistake ?? ''"
              label="The usual mistake"
              placeholder="what goes wrong"
              @change="fault(checkpoint.id, 'mistake', $event)"
            />
            <span class="muted">, then </span
            ><InlineText
              :value="checkpoint.fault?.result ?? ''"
              label="What it leads to"
              placeholder="what happens"
              @change="fault(checkpoint.id, 'result', $event)"
            />
            <span class="muted">; fix: </span
            ><InlineText
              :value="checkpoint.fault?.fix ?? ''"
              label="The fix"
              placeholder="the fix"
              @change="fault(checkpoint.id, 'fix', $event)"
            />
          </p>
          <span class="tools">
            <button
              type="button"
              class="plain small muted"
              :aria-expanded="open.has(checkpoint.id)"
              @click="more(checkpoint.id)"
            >
              test, gate, mistake
            </button>
            <button
              type="button"
              class="plain"
              :aria-label="`Checkpoint ${i + 1} up`"
              @click="shift(checkpoint.id, -1)"
            >
              ↑
            </button>
            <button
              type="button"
              class="plain"
              :aria-label="`Checkpoint ${i + 1} down`"
              @click="shift(checkpoint.id, 1)"
            >
              ↓
            </button>
            <button
              type="button"
              class="plain"
              :aria-label="`Remove checkpoint ${i + 1}`"
              @click="remove(checkpoint.id)"
            >
              ×
            </button>
          </span>
        </div>
      </li>
    </ol>
    <TokenField
      v-model="next"
      :label="`New checkpoint of ${move.name}`"
      :tokens="tokens"
      placeholder="Next thing that must be true"
      @enter="add"
    />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr);
  gap: 6px;
  padding: 5px 0;
  line-height: 1.3;
}

.number {
  font: 700 15px/1.35 var(--label);
  color: var(--ours);
}

.gate {
  color: var(--leak);
}

.tools {
  display: flex;
  gap: 8px;
  height: 0;
  overflow: hidden;
}

li:hover .tools,
li:focus-within .tools {
  height: auto;
}

@media (hover: none) {
  .tools {
    height: auto;
  }
}
</style>
