<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { ArrowDown, ArrowUp, Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
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
import { t } from '../../../words/inspector'

/** What must be true, in order; how one tests it; what may not be let go before; and the usual mistake. */
const props = defineProps<{ move: Move }>()
const charts = useCharts()
const next = ref('')
const { tokens, said } = useTokens(() => props.move.from)

function add() {
  const text = next.value.trim()
  if (!text) return
  charts.edit(
    t('inspector.checkpointOfMove', { move: props.move.name }),
    (draft) => void addCheckpoint(draft, props.move.id, text),
  )
  next.value = ''
}

const set = (id: string, field: 'text' | 'test' | 'until', value: string) =>
  charts.edit(t('inspector.checkpointOfMove', { move: props.move.name }), (draft) =>
    setCheckpoint(draft, props.move.id, id, field, value),
  )
const fault = (id: string, field: 'mistake' | 'result' | 'fix', value: string) =>
  charts.edit(t('inspector.mistakeInMove', { move: props.move.name }), (draft) =>
    setFault(draft, props.move.id, id, field, value),
  )
const remove = (id: string) =>
  charts.edit(t('inspector.removeACheckpointOfMove', { move: props.move.name }), (draft) =>
    removeCheckpoint(draft, props.move.id, id),
  )
const shift = (id: string, by: 1 | -1) =>
  charts.edit(t('inspector.moveACheckpointOfMove', { move: props.move.name }), (draft) =>
    shiftCheckpoint(draft, props.move.id, id, by),
  )

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
  <section :aria-label="t('inspector.checkpoints')">
    <h3>{{ t('inspector.inThisOrder') }}</h3>
    <ol>
      <li v-for="(checkpoint, i) in move.checkpoints ?? []" :key="checkpoint.id">
        <span class="number" aria-hidden="true">{{ i + 1 }}</span>
        <div>
          <InlineText
            :value="checkpoint.text"
            :label="t('inspector.checkpointI', { i: i + 1 })"
            :tokens="tokens"
            required
            @change="set(checkpoint.id, 'text', $event)"
            >{{ said(checkpoint.text) }}</InlineText
          >
          <p v-if="isOpen(checkpoint).test" class="small">
            <span class="muted">{{ t('inspector.test') }}&nbsp;</span
            ><InlineText
              :value="checkpoint.test ?? ''"
              :label="t('inspector.howOneTestsIt')"
              :placeholder="t('inspector.howOneTestsIt2')"
              :tokens="tokens"
              @change="set(checkpoint.id, 'test', $event)"
              >{{ said(checkpoint.test) }}</InlineText
            >
          </p>
          <p v-if="isOpen(checkpoint).until" class="small gate">
            <InlineText
              :value="checkpoint.until ?? ''"
              :label="t('inspector.doNotLetGoUntil')"
              :placeholder="t('inspector.doNotLetGoOfUntil')"
              :tokens="tokens"
              @change="set(checkpoint.id, 'until', $event)"
              >{{ said(checkpoint.until) }}</InlineText
            >
          </p>
          <GateField v-if="checkpoint.gate || open.has(checkpoint.id)" :move="move" :checkpoint="checkpoint" />
          <p v-if="isOpen(checkpoint).fault" class="small mistake">
            <span class="muted">{{ t('inspector.mistake') }}&nbsp;</span
            ><InlineText
              :value="checkpoint.fault?.mistake ?? ''"
              :label="t('inspector.theUsualMistake')"
              :placeholder="t('inspector.whatGoesWrong')"
              @change="fault(checkpoint.id, 'mistake', $event)"
            />
            <span class="muted">{{ t('inspector.then') }}&nbsp;</span
            ><InlineText
              :value="checkpoint.fault?.result ?? ''"
              :label="t('inspector.whatItLeadsTo')"
              :placeholder="t('inspector.whatHappens')"
              @change="fault(checkpoint.id, 'result', $event)"
            />
            <span class="muted">{{ t('inspector.fix') }}&nbsp;</span
            ><InlineText
              :value="checkpoint.fault?.fix ?? ''"
              :label="t('inspector.theFix')"
              :placeholder="t('inspector.theFix2')"
              @change="fault(checkpoint.id, 'fix', $event)"
            />
          </p>
          <span class="tools">
            <RowButton class="small muted" :aria-expanded="open.has(checkpoint.id)" @click="more(checkpoint.id)">
              {{ t('inspector.testGateMistake') }}
            </RowButton>
            <IconButton
              :icon="ArrowUp"
              :name="t('inspector.checkpointIUp', { i: i + 1 })"
              @click="shift(checkpoint.id, -1)"
            />
            <IconButton
              :icon="ArrowDown"
              :name="t('inspector.checkpointIDown', { i: i + 1 })"
              @click="shift(checkpoint.id, 1)"
            />
            <IconButton
              :icon="Close"
              :name="t('inspector.removeCheckpointI', { i: i + 1 })"
              @click="remove(checkpoint.id)"
            />
          </span>
        </div>
      </li>
    </ol>
    <TokenField
      v-model="next"
      :label="t('inspector.newCheckpointOfMove', { move: move.name })"
      :tokens="tokens"
      :placeholder="t('inspector.nextCheckpoint')"
      @enter="add"
    />
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr);
  gap: var(--space-8);
  padding: var(--space-4) 0;
  line-height: 1.3;
}

li > div > .shown {
  display: inline-block;
  min-height: 24px;
}

.number {
  font: var(--weight-strong) var(--type-body) / 1.35 var(--label);
  color: var(--ours);
}

.gate {
  color: var(--leak);
}

.tools {
  display: flex;
  gap: var(--space-8);
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
