<script setup lang="ts">
import { computed } from 'vue'
import PickList from '../../../components/PickList.vue'
import { setWord } from '../../../core/chart/edits/fields'
import type { WordPair } from '../../../core/sides/vocabulary'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/holds'

/** How this school says pairs of side words; every text of the open chart then uses them. */
defineProps<{ pairs: readonly WordPair[] }>()
const charts = useCharts()
const words = computed(() => charts.chart?.settings?.words ?? {})
const said = ({ pair: [one, two] }: WordPair) => `${words.value[one] ?? one} ${words.value[two] ?? two}`

function setWords({ pair }: WordPair, chosen: string) {
  const own = chosen.split(' ')
  charts.edit(t('common.sayMoves', { moves: own.join(t('holds.and')) }), (draft) =>
    pair.forEach((word, i) => setWord(draft, word, own[i] ?? '')),
  )
}
</script>

<template>
  <label v-for="one in pairs" :key="one.pair.join()">
    <slot :pair="one.pair" />
    <PickList
      :aria-label="t('holds.sayPairAs', { pair: one.pair.join(t('holds.and')) })"
      :value="said(one)"
      :options="[one.pair, ...one.others].map((pair) => ({ value: pair.join(' '), label: pair.join(' / ') }))"
      @change="(picked) => setWords(one, picked)"
    />
  </label>
</template>

<style scoped>
label {
  display: grid;
  gap: var(--space-4);
}

.el-select {
  width: 180px;
}
</style>
