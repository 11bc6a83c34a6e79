<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import ProblemList from '../../../components/ProblemList.vue'
import type { Backup, Restoring } from '../../../core/files/backup'
import type { Problem } from '../../../core/problem'
import { useCharts } from '../../../stores/charts'
import { useRestoring } from '../../../stores/restoring'
import { dayText } from '../club/days'
import { t } from '../../../words/files'

/** What restoring a backup would change, document by document; nothing is written before it is pressed. */
const props = defineProps<{ backup: Backup }>()
const emit = defineEmits<{ done: [] }>()
const { restoring, restore: putBack } = useRestoring()
const charts = useCharts()
const found = shallowRef<Restoring[] | null>(null)
const left = ref(new Set<string>())
const problems = shallowRef<Problem[]>([])
onMounted(async () => (found.value = await restoring(props.backup)))

const keyOf = ({ kind, document }: Restoring) => `${kind} ${document.id}`
const KIND_NAMES: Partial<Record<Restoring['kind'], string>> = {
  chart: t('files.aChart'),
  club: t('files.aClub'),
  shelf: t('files.aShelf'),
  pack: t('files.someHomework'),
}
function whatOf({ state, come, change, go }: Restoring): string {
  if (state === 'new') return t('files.comesNew')
  if (state === 'same') return t('files.isTheSame')
  const parts = [change && t('files.nChange', change), come && t('files.nCome', come), go && t('files.nGo', go)]
  return parts.filter(Boolean).join(', ') || t('files.onlyTheOrder')
}
const rows = computed(() =>
  (found.value ?? []).map((one) => ({
    ...{ key: keyOf(one), title: one.document.title, kind: KIND_NAMES[one.kind], what: whatOf(one) },
    isSame: one.state === 'same',
  })),
)
const chosen = computed(() => (found.value ?? []).filter((one) => one.state !== 'same' && !left.value.has(keyOf(one))))
function leave(key: string, isTaken: boolean) {
  const keys = new Set(left.value)
  if (isTaken) keys.delete(key)
  else keys.add(key)
  left.value = keys
}

async function restore() {
  const restored = await putBack(chosen.value, t('files.restoreFromBackup'))
  if (!restored.ok) return void (problems.value = restored.problems)
  charts.tell(t('files.restored', chosen.value.length))
  emit('done')
}
</script>

<template>
  <div v-if="found" class="restore">
    <p>{{ t('files.madeOn', { made: dayText(backup.made.slice(0, 10)) }) }}</p>
    <ul :aria-label="t('files.whatWouldChange')">
      <li v-for="one in rows" :key="one.key">
        <el-checkbox
          :model-value="!one.isSame && !left.has(one.key)"
          :disabled="one.isSame"
          @change="(on: boolean) => leave(one.key, on)"
          >{{ one.title }}</el-checkbox
        >
        <span class="small muted">{{ one.kind }}: {{ one.what }}</span>
      </li>
    </ul>
    <ProblemList v-if="problems.length" :problems="problems" :most="10" />
    <p class="row">
      <el-button type="primary" :disabled="!chosen.length" @click="restore">{{
        t('files.restoreThese', chosen.length)
      }}</el-button>
      <el-button text @click="emit('done')">{{ t('files.doNotImport') }}</el-button>
    </p>
  </div>
</template>

<style scoped>
.restore {
  display: grid;
  gap: var(--space-12);
}

ul {
  max-height: 45vh;
  overflow: auto;
}

li {
  display: grid;
}

li .small {
  margin-left: var(--space-24);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}
</style>
