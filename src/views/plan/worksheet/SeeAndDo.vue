<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import { computed, nextTick, onBeforeUpdate, onUpdated, ref } from 'vue'
import { valueOf } from '../../../components/events'
import IconButton from '../../../components/IconButton.vue'
import InlineText from '../../../components/InlineText.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { NOTHING_SEEN } from '../../../core/chart/cue'
import { addCue, renameCue, setSeen, unsee } from '../../../core/chart/edits/cues'
import { setField } from '../../../core/chart/edits/fields'
import { toCueId, type CueId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import { saysSeen } from '../../../core/notation/readFork'
import { seeCard } from '../../../core/say/seen'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { useSaying } from '../../parts/add/saying'
import { useWorksheet } from '../../parts/inspectors/sheet'
import UsesField from '../../parts/inspectors/UsesField.vue'
import { t } from '../../../words/worksheet'
import WaitingMoves from './WaitingMoves.vue'

/** What one sees on coming to the position, how often, what is done then and what it is worth: the worst first. */
const { chart, position } = useWorksheet()
const charts = useCharts()
const store = useFigures()
/** Of ten times, where a coach has only named what is seen. */
const USUAL = 3

const place = computed(() => present(position.value))
const rows = computed(() =>
  (seeCard(chart.value, store.figures, place.value.id)?.lines ?? []).map((line) => ({
    ...line,
    count: place.value.seen?.[line.cue] ?? 0,
    uses: lookUp(chart.value.cues ?? [], line.cue)?.uses ?? [],
  })),
)

function setCount(cue: CueId | typeof NOTHING_SEEN, name: string, event: Event) {
  const count = Number(valueOf(event))
  const { id } = place.value
  charts.edit(t('worksheet.howOftenWeSeeName', { name }), (draft) => setSeen(draft, id, cue, count))
}

const renameSeen = (cue: string, name: string) =>
  charts.edit(t('worksheet.renameToName', { name }), (draft) => renameCue(draft, toCueId(cue), name))

/** What they need in order to put it there: a hold of ours that takes it away makes it rarer. */
const setUses = (cue: string, name: string, uses: string[]) =>
  charts.edit(t('worksheet.whatNameUses', { name }), (draft) => setField(draft, 'cues', cue, 'uses', uses))

function remove(cue: string, name: string) {
  const { id } = place.value
  charts.edit(t('common.removeName', { name }), (draft) => unsee(draft, id, toCueId(cue)))
  charts.tell(t('worksheet.nameIsNoLongerSeenHere', { name }), 'info', 'undo')
}

const typed = ref('')
const { error, say } = useSaying()
const field = ref<{ focus: () => void }>()
function add() {
  const name = typed.value.trim()
  if (!name) return
  const { id } = place.value
  if (saysSeen(name)) {
    if (!say(name)) return
  } else charts.edit(t('worksheet.weSeeName', { name }), (draft) => void addCue(draft, id, name, USUAL))
  typed.value = ''
}
defineExpose({
  focus: async () => {
    await nextTick()
    field.value?.focus()
  },
})

/* A line that moves to its new place must not take the focus from who is typing in it. */
let focused: Element | null = null
onBeforeUpdate(() => (focused = document.activeElement))
onUpdated(() => {
  if (document.activeElement === document.body && focused instanceof HTMLElement && focused.isConnected) focused.focus()
})
</script>

<template>
  <article class="panel see" :aria-label="t('worksheet.seeAndDo')">
    <h2>
      {{ t('worksheet.seeAndDo') }}
      <span class="muted small">{{ t('worksheet.whatWeSeeOnComingHere') }}</span>
      <RouterLink v-if="place.seen" class="small off-paper" :to="{ path: '/see-and-do', query: { of: place.id } }">{{
        t('worksheet.printAsACard')
      }}</RouterLink>
    </h2>
    <ul v-if="place.seen">
      <li v-for="row in rows" :key="row.cue" :aria-label="t('worksheet.weSeeName', { name: row.name })">
        <InlineText
          v-if="row.cue !== NOTHING_SEEN"
          class="cue"
          :value="row.name"
          :label="t('worksheet.whatWeSee')"
          required
          @change="(name) => renameSeen(row.cue, name)"
        />
        <span v-else class="cue muted">{{ row.name }}</span>
        <label class="count muted small">
          <SteadyInput
            type="number"
            min="0"
            max="1000"
            :aria-label="t('worksheet.nameOfTenTimes', { name: row.name })"
            :value="row.count"
            @change="(event) => setCount(row.cue, row.name, event)"
          />
          {{ t('worksheet.ofTen') }}
        </label>
        <span class="then">
          <WaitingMoves v-if="row.cue !== NOTHING_SEEN" :cue="row.cue" :name="row.name" />
          <span v-if="row.does" class="does">{{ t('worksheet.thenBest', { best: row.does }) }}</span>
          <UsesField
            v-if="row.cue !== NOTHING_SEEN"
            class="off-paper"
            :uses="row.uses"
            @change="(uses) => setUses(row.cue, row.name, uses)"
          />
        </span>
        <AskedFigure
          v-if="row.worth !== null"
          class="worth"
          :value="row.worth"
          :asked="{ of: 'seen', position: place.id, cue: row.cue }"
          :label="t('worksheet.worthWhenWeSeeName', { name: row.name })"
        />
        <IconButton
          v-if="row.cue !== NOTHING_SEEN"
          class="off-paper"
          :icon="Close"
          :name="t('common.removeName', { name: row.name })"
          @click="remove(row.cue, row.name)"
        />
      </li>
    </ul>
    <form class="off-paper" @submit.prevent="add">
      <el-input
        ref="field"
        v-model="typed"
        maxlength="200"
        :aria-label="t('worksheet.whatWeSee')"
        :placeholder="t('worksheet.theirFarHandAtOurNeck')"
        @keydown.stop
      />
      <el-button native-type="submit">{{ t('worksheet.weSeeIt') }}</el-button>
    </form>
    <p v-if="error" class="warn small" role="alert">{{ error.message }}</p>
  </article>
</template>

<style scoped>
.see {
  display: grid;
  gap: var(--space-8);
  padding: var(--space-12) var(--space-12) var(--space-8) var(--space-16);
}

li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 112px minmax(0, 1.4fr) 40px 34px;
  gap: var(--space-4) var(--space-8);
  align-items: center;
  min-height: var(--control);
  padding: var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
}

h2 .off-paper {
  margin-left: var(--space-8);
}

.cue {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

.count {
  display: flex;
  gap: var(--space-4);
  align-items: center;
  white-space: nowrap;
}

.count .el-input {
  width: 64px;
}

.then {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-8);
  align-items: center;
}

.worth {
  justify-self: end;
}

form .el-button {
  flex: none;
}

form {
  display: flex;
  gap: var(--space-8);
  max-width: 480px;
}

@media (width < 1440px) {
  li {
    grid-template-columns: minmax(0, 1fr) 112px 40px 34px;
  }

  .then {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
