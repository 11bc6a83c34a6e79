<script setup lang="ts">
import { computed } from 'vue'
import { present } from '../../../core/sure'
import type { Known } from '../../../core/club/rehearsed'
import type { Card } from '../../../core/rehearse/cards'
import type { Standing } from '../../../core/rehearse/schedule'
import { sayCard, sayChoice } from '../../../core/say/rehearse'
import { useCharts } from '../../../stores/charts'
import StandingLine from './StandingLine.vue'
import { t } from '../../../words/rehearse'

/** After a sitting: how many were known, which were not, and how the deck stands now. */
const props = defineProps<{ went: readonly { card: Card; known: Known }[]; standing: Standing | null }>()
const emit = defineEmits<{ more: []; over: [] }>()
const charts = useCharts()
const right = computed(() => props.went.filter(({ known }) => known !== 'again').length)
const missed = computed(() =>
  props.went
    .filter(({ known }) => known === 'again')
    .map(({ card }) => {
      const chart = present(charts.chart)
      const { where, happens } = sayCard(chart, card.asked)
      return {
        key: card.key,
        text: [where, happens].filter(Boolean).join(' '),
        does: sayChoice(chart, card.asked, card.answer),
      }
    }),
)
const hasMore = computed(() => (props.standing ? props.standing.due + props.standing.fresh > 0 : false))
</script>

<template>
  <section class="over">
    <h1>{{ t('rehearse.done', { right, n: went.length }) }}</h1>
    <StandingLine v-if="standing" :standing="standing" />
    <template v-if="missed.length">
      <h2>{{ t('rehearse.missed') }}</h2>
      <ul>
        <li v-for="{ key, text, does } in missed" :key="key">
          {{ text }} <b>{{ does }}.</b>
        </li>
      </ul>
    </template>
    <slot />
    <footer>
      <el-button v-if="hasMore" type="primary" class="press" @click="emit('more')">{{
        t('rehearse.tenMore')
      }}</el-button>
      <el-button class="press" @click="emit('over')">{{ t('rehearse.enough') }}</el-button>
    </footer>
  </section>
</template>

<style scoped src="./over.css"></style>
<style scoped>
li {
  padding: var(--space-8) 0;
  border-top: 1px dotted var(--strong-line);
}
</style>
