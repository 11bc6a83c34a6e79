<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { wantedOfRegion } from '../../../core/shelf/edits/pull'
import type { Shelf } from '../../../core/shelf/shelf'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import EntryList from './EntryList.vue'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import OwnShelf from './OwnShelf.vue'
import RegionList from './RegionList.vue'
import RegionTalk from './RegionTalk.vue'
import ShelfEntry from './ShelfEntry.vue'
import ShelfUpdates from './ShelfUpdates.vue'
import { foundOf, keyOf, usePulling, useShelfPlace } from '../../parts/shelf/pulling'
import { t } from '../../../words/shelf'

/**
 * The library: browsed by region and by what is attacked, or searched by what one sees; each entry in detail beside it.
 */
const props = defineProps<{ shelf: Shelf }>()
const store = useShelf()
const charts = useCharts()
const { place, go } = useShelfPlace()
const { pull } = usePulling()

const region = computed(() => lookUp(props.shelf.regions, place.value.region))

const isOwn = computed(() => store.own.some(({ id }) => id === region.value?.id))
/** What is said beside the list. */
const about = computed(() => {
  if (!at.value) return region.value?.title ?? ''
  const { kind, id } = at.value
  return lookUp<{ id: string; name: string }>(props.shelf[`${kind}s`], id)?.name ?? ''
})
const at = computed(() => foundOf(place.value.at) ?? null)
</script>

<template>
  <ListAndSheet class="shelf" :list="t('shelf.regions')" :about="about" first="list">
    <template #list><RegionList :shelf="shelf" /></template>
    <section class="list" :class="{ 'off-paper': at }" :aria-label="t('shelf.onTheShelf')">
      <header>
        <h1>{{ region?.title ?? t('shelf.theShelf') }}</h1>
        <el-button
          v-if="region && charts.chart"
          type="primary"
          @click="pull(region.title, wantedOfRegion(shelf, region.id))"
        >
          {{ t('shelf.bringAllOfItIntoThe') }}
        </el-button>
      </header>
      <OwnShelf v-if="region && isOwn" :region="region" @gone="go({ region: '', at: '' })" />
      <ShelfUpdates :shelf="shelf" />
      <p class="muted small">
        {{ t('shelf.triesOnTheShelfAreGuesses') }}
      </p>
      <EntryList :shelf="shelf" />
    </section>
    <template #about>
      <aside :aria-label="t('common.aboutIt')">
        <ShelfEntry v-if="at" :key="place.at" :shelf="shelf" :found="at" @open="go({ at: keyOf($event) })" />
        <RegionTalk v-else-if="region" :shelf="shelf" :region="region" @open="go({ at: keyOf($event) })" />
        <p v-else class="muted">{{ t('shelf.chooseAnEntryOrARegion') }}</p>
      </aside>
    </template>
  </ListAndSheet>
</template>

<style scoped>
.shelf {
  --about-width: minmax(320px, 420px);
}

.list {
  display: grid;
  gap: var(--space-8);
  align-content: start;
  padding: var(--space-16) var(--space-16) var(--space-32);
}

header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: var(--space-12);
}
</style>
