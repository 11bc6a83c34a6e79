<script setup lang="ts">
import { computed, ref } from 'vue'
import ProblemList from '../../../components/ProblemList.vue'
import RowButton from '../../../components/RowButton.vue'
import type { Chart } from '../../../core/chart/chart'
import { mergeCharts } from '../../../core/chart/mergeCharts'
import type { Side } from '../../../core/document/merge'
import { sayConflict } from '../../../core/say/merge'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/files'

/**
 * A chart that came back changed and the one that is here: what only one of them has changed is taken; what both have
 * changed is chosen, one by one.
 */
const props = defineProps<{ file: Chart; base: Chart | null }>()
const emit = defineEmits<{ done: [] }>()
const charts = useCharts()
const chosen = ref(new Map<string, Side>())

const merged = computed(() => {
  const mine = charts.keptChart
  return mine && mergeCharts(props.base, mine, props.file, ({ id }) => chosen.value.get(id) ?? 'mine')
})
const rows = computed(() => {
  const mine = charts.keptChart
  if (!mine || !merged.value) return []
  return merged.value.conflicts.map((conflict) => ({ id: conflict.id, ...sayConflict(conflict, mine, props.file) }))
})
const toChoose = computed(() => {
  const n = rows.value.length
  if (!n) return t('files.nothingToChoose')
  return props.base ? t('files.toChoose', n) : t('files.differences', n)
})
const left = computed(() => rows.value.filter(({ id }) => !chosen.value.has(id)).length)
const SIDES: { side: Side; name: string }[] = [
  { side: 'mine', name: t('files.yours') },
  { side: 'theirs', name: t('files.theirs') },
]
function choose(id: string, side: Side) {
  chosen.value = new Map(chosen.value).set(id, side)
}
function chooseAll(side: Side) {
  chosen.value = new Map([...rows.value.map(({ id }) => [id, side] as const), ...chosen.value])
}

async function take() {
  const isTaken = merged.value && (await charts.takeMerged(props.file, merged.value.document))
  if (isTaken) charts.tell(t('files.merged'), 'info', 'undo')
  emit('done')
}
</script>

<template>
  <div v-if="merged" class="differences">
    <p>
      {{ base ? t('files.takenOfTheirs', merged.taken) : t('files.noCommonState') }}
      {{ toChoose }}
    </p>
    <p v-if="rows.length > 1" class="row">
      <el-button @click="chooseAll('mine')">{{ t('files.restMine') }}</el-button>
      <el-button @click="chooseAll('theirs')">{{ t('files.restTheirs') }}</el-button>
    </p>
    <ul v-if="rows.length" :aria-label="t('files.whatBothChanged')">
      <li v-for="one in rows" :key="one.id">
        <h3>{{ one.about }}</h3>
        <div class="sides" role="group" :aria-label="one.about">
          <RowButton
            v-for="{ side, name } in SIDES"
            :key="side"
            :aria-pressed="chosen.get(one.id) === side"
            :class="{ chosen: chosen.get(one.id) === side }"
            @click="choose(one.id, side)"
          >
            <span class="label">{{ name }}</span>
            {{ one[side] }}
          </RowButton>
        </div>
      </li>
    </ul>
    <template v-if="!left && merged.problems.length">
      <p>{{ t('files.notSoundSo') }}</p>
      <ProblemList :problems="merged.problems" :most="10" />
    </template>
    <p class="row">
      <el-button type="primary" :disabled="left > 0 || merged.problems.length > 0" @click="take">
        {{ left ? t('files.leftToChoose', left) : t('files.takeTheMerged') }}
      </el-button>
      <el-button text @click="emit('done')">{{ t('files.doNotImport') }}</el-button>
    </p>
  </div>
</template>

<style scoped src="./differences.css"></style>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--space-8);
  margin-top: var(--space-4);
}

.sides button {
  display: block;
  padding: var(--space-8) var(--space-12);
  border: 1px solid var(--strong-line);
  border-radius: var(--corner);
  overflow-wrap: anywhere;
  text-align: left;
  align-content: start;
}

@media (width < 600px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}

.sides .chosen {
  border-color: var(--ours);
  background: var(--ours-soft);
}

.label {
  display: block;
}
</style>
