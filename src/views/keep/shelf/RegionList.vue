<script setup lang="ts">
import { Search } from '@element-plus/icons-vue'
import RowButton from '../../../components/RowButton.vue'
import PickList from '../../../components/PickList.vue'
import { entriesOf } from '../../../core/typed'
import { computed, ref, watch } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { NEEDS, needsOf } from '../../../core/shelf/needs'
import type { Shelf } from '../../../core/shelf/shelf'
import { useShelf } from '../../../stores/shelf'
import { useParts } from '../../parts/layout/parts'
import EntryList from './EntryList.vue'
import PublishPart from './PublishPart.vue'
import { useShelfPlace } from '../../parts/shelf/pulling'
import { t } from '../../../words/shelf'

/**
 * Where to look on the Shelf: by what one sees, by region, by what is attacked or needed; and the coach's own shelves.
 */
const props = defineProps<{ shelf: Shelf }>()
const store = useShelf()
const { only } = useParts()
const { place, go } = useShelfPlace()

const text = ref(place.value.text)
watch(
  () => place.value.text,
  (now) => (text.value = now),
)
const region = computed(() => lookUp(props.shelf.regions, place.value.region))
const groups = computed(() => [
  { name: '', regions: props.shelf.regions.filter((one) => !store.own.some(({ id }) => id === one.id)) },
  { name: t('shelf.yours'), regions: store.own },
])
const attacked = computed(() =>
  [...new Set(props.shelf.moves.filter(({ to }) => to === 'finish').map(({ hazard }) => hazard?.part ?? ''))]
    .filter(Boolean)
    .sort(),
)
/** What some move needs, in the order of the list of needs. */
const needed = computed(() => {
  const some = new Set(props.shelf.moves.flatMap(needsOf))
  return entriesOf(NEEDS).filter(([need]) => some.has(need))
})
</script>

<template>
  <nav class="off-paper" :aria-label="t('shelf.regionsOfTheShelf')">
    <el-input
      v-model="text"
      type="search"
      :prefix-icon="Search"
      :aria-label="t('shelf.searchTheShelf')"
      :placeholder="t('shelf.whatDoYouSee')"
      @input="go({ text })"
      @keydown.stop
    />
    <p class="muted small">{{ t('shelf.byNameOrAsYouSee') }}</p>
    <EntryList v-if="only && place.text.trim()" :shelf="shelf" />
    <template v-else>
      <RowButton class="region" :class="{ here: !region }" @click="go({ region: '', at: '' }, 'sheet')">
        {{ t('shelf.everything') }}
      </RowButton>
      <template v-for="group in groups" :key="group.name">
        <h2 v-if="group.name && group.regions.length" class="label">{{ group.name }}</h2>
        <RowButton
          v-for="one in group.regions"
          :key="one.id"
          class="region"
          :class="{ here: one.id === region?.id }"
          :aria-pressed="one.id === region?.id"
          @click="go({ region: one.id, at: '' }, 'sheet')"
        >
          <span>{{ one.title }}</span> <span class="muted small">{{ one.moves.length }}</span>
        </RowButton>
      </template>
    </template>
    <label>
      <span class="label">{{ t('shelf.finishesOfWhichPart') }}</span>
      <PickList
        :value="place.attacks"
        :options="[
          { value: '', label: t('shelf.notOnlyFinishes') },
          { value: 'any', label: t('shelf.anything') },
          ...attacked.map((part) => ({ value: part, label: part })),
        ]"
        @change="(picked) => go({ attacks: picked })"
      />
    </label>
    <label>
      <span class="label">{{ t('shelf.weHoldAlready') }}</span>
      <PickList
        :value="place.needs"
        :options="[
          { value: '', label: t('shelf.whateverIsOn') },
          ...needed.map(([need, name]) => ({ value: need, label: name })),
        ]"
        @change="(picked) => go({ needs: picked })"
      />
    </label>
    <PublishPart />
  </nav>
</template>

<style scoped>
nav {
  display: grid;
  align-content: start;
  gap: var(--space-4);
  padding: var(--space-16) var(--space-16) var(--space-32);
}

.region {
  display: flex;
  gap: var(--space-8);
  align-items: baseline;
  justify-content: space-between;
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner);
}

.region:hover {
  background: var(--ours-soft);
}

.region.here {
  background: var(--ours);
  color: var(--ours-ink);
}

.region.here .muted {
  color: inherit;
}

h2.label {
  margin-top: var(--space-8);
}

label {
  display: grid;
  gap: var(--space-4);
  margin-top: var(--space-8);
}
</style>
