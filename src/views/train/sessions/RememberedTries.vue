<script setup lang="ts">
import { Minus, Plus } from '@element-plus/icons-vue'
import { computed } from 'vue'
import IconButton from '../../../components/IconButton.vue'
import { remember, rememberedIn, type Remembered } from '../../../core/club/lesson'
import type { Session } from '../../../core/club/session'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { t } from '../../../words/train'

/** What landed in a lesson and what did not, as remembered: what was practised, and not how often it lands. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const moves = computed(() => (charts.chart ? rememberedIn(present(clubs.club), props.session, charts.chart) : []))
const SIDES = [
  { landed: true, name: t('train.landed') },
  { landed: false, name: t('train.didNotLand') },
] as const

const countOf = (one: Remembered, landed: boolean) => (landed ? one.landed : one.failed)
function count({ move, name }: Remembered, landed: boolean, by: 1 | -1) {
  const { chart } = charts
  if (chart) clubs.edit(name, (draft) => remember(draft, props.session.id, chart.id, move, landed, by))
}
</script>

<template>
  <section :aria-label="t('train.asRemembered')">
    <h2>{{ t('train.asRemembered') }}</h2>
    <ul>
      <li v-for="one in moves" :key="one.move">
        <b>{{ one.name }}</b>
        <span v-for="{ landed, name } in SIDES" :key="name" class="side">
          {{ name }}
          <IconButton
            :icon="Minus"
            :name="t('train.oneLess', { what: one.name, how: name })"
            :disabled="countOf(one, landed) === 0"
            @click="count(one, landed, -1)"
          />
          <b class="count">{{ countOf(one, landed) }}</b>
          <IconButton
            :icon="Plus"
            :name="t('train.oneMore', { what: one.name, how: name })"
            @click="count(one, landed, 1)"
          />
        </span>
      </li>
    </ul>
    <p v-if="!moves.length" class="muted">{{ t('train.sayWhatBlocksAreAbout') }}</p>
    <p class="small muted">{{ t('train.rememberedCountsLess') }}</p>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 220px));
  gap: 0 var(--space-16);
  padding: var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
}

li > b {
  grid-column: 1 / -1;
}

.side {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: center;
}

.count {
  min-width: 24px;
  text-align: center;
}
</style>
