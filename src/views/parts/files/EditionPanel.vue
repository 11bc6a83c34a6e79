<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { sayEdition } from '../../../core/say/edition'
import type { ShelfRegion } from '../../../core/shelf/shelf'
import { useCharts } from '../../../stores/charts'
import type { TakenShelf } from '../../../stores/ownShelves'
import { useShelf } from '../../../stores/shelf'
import { t } from '../../../words/files'

/** Another edition of a shelf that is here: what differs, and whether it takes the place of the one before. */
const props = defineProps<{ offered: Extract<TakenShelf, { state: 'edition' }> }>()
const emit = defineEmits<{ done: [] }>()
const store = useShelf()
const charts = useCharts()
const router = useRouter()

const differences = computed(() => sayEdition(props.offered.old, props.offered.fresh))
const named = ({ edition }: ShelfRegion) =>
  edition === undefined ? t('files.withoutNumber') : t('files.editionN', { n: edition })
const sides = computed(() => [
  { side: 'mine' as const, name: t('files.hereNow', { edition: named(props.offered.old) }) },
  { side: 'theirs' as const, name: t('files.newOne', { edition: named(props.offered.fresh) }) },
])

async function replace() {
  const id = await store.replace(props.offered)
  emit('done')
  charts.tell(t('files.editionTaken', { title: props.offered.fresh.title }))
  await router.push({ path: '/shelf', query: { region: id } })
}
async function beside() {
  const id = await store.keepBeside(props.offered.file)
  emit('done')
  await router.push({ path: '/shelf', query: { region: id } })
}
</script>

<template>
  <div class="differences">
    <p>{{ t('files.editionDiffers', differences.length) }}</p>
    <ul v-if="differences.length" :aria-label="t('files.whatDiffers')">
      <li v-for="(one, i) in differences" :key="i">
        <h3>{{ one.about }}</h3>
        <dl>
          <div v-for="{ side, name } in sides" :key="side">
            <dt class="label">{{ name }}</dt>
            <dd>{{ one[side] }}</dd>
          </div>
        </dl>
      </li>
    </ul>
    <p class="muted small">{{ t('files.plansAreOffered') }}</p>
    <p class="row">
      <el-button type="primary" @click="replace">{{ t('files.takeEdition') }}</el-button>
      <el-button @click="beside">{{ t('files.keepBoth') }}</el-button>
      <el-button text @click="emit('done')">{{ t('files.leaveEdition') }}</el-button>
    </p>
  </div>
</template>

<style scoped src="./differences.css"></style>

<style scoped>
dl {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: var(--space-8);
  margin: var(--space-4) 0 0;
}

dd {
  margin: 0;
  overflow-wrap: anywhere;
}
</style>
