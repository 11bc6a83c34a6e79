<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import { changeInWords, placeOfGain, sayGain } from '../../../core/say/gain'
import type { Gain } from '../../../core/questions/gains'
import { played } from '../../../stores/estimates'
import { useCharts } from '../../../stores/charts'
import { useQuestion } from '../../../stores/questions'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { t } from '../../../words'

/**
 * Which ten minutes of drilling buy the most: a move that lands more often, an answer where there is none, one hold
 * more.
 */
const charts = useCharts()
const { answer, progress } = useQuestion(() => ({ of: 'gains' as const }))
const FEW = 5
/** A smaller gain of the start, −1 to 1, is not listed. */
const LEAST = 0.0005
const showsAll = ref(false)

const goTo = (gain: Gain) => {
  const { position, hold, ...query } = placeOfGain(present(charts.chart), gain)
  return hold ? { path: `/holds/${position}`, query: { hold } } : { path: `/worksheet/${position}`, query }
}
const rows = computed(() =>
  (answer.value ?? [])
    .filter(({ gain }) => gain >= LEAST)
    .map((gain) => ({
      gain,
      ...sayGain(played.value(present(charts.chart)), gain),
      with: changeInWords(gain),
      go: goTo(gain),
    })),
)
const shown = computed(() => (showsAll.value ? rows.value : rows.value.slice(0, FEW)))
</script>

<template>
  <section class="panel" :aria-label="t('common.whatToDrill')">
    <h2>
      {{ t('common.whatToDrill') }} <span>{{ t('desk.whatItBrings') }}</span>
    </h2>
    <p class="muted small">
      {{ t('desk.whatTheStartWouldBeWorth') }}
      <span v-if="progress !== null" role="status">{{
        t('common.workingItOutProgress', { progress: Math.round(progress * 100) })
      }}</span>
    </p>
    <el-skeleton v-if="!answer" class="waits" :rows="FEW" />
    <ol v-else-if="rows.length">
      <li v-for="row in shown" :key="`${row.head} ${row.detail}`">
        <RouterLink :to="row.go" data-test="drill">
          <b>{{ row.head }}</b>
          <span class="muted">{{ row.detail }}</span>
        </RouterLink>
        <AskedFigure
          :value="row.gain.gain"
          form="gain"
          :asked="{ of: 'gain', head: row.head, with: row.with, gain: row.gain.gain }"
          :label="t('desk.gainOfHead', { head: row.head })"
        />
      </li>
    </ol>
    <p v-else class="muted">{{ t('desk.nothingThatCouldBeDrilledWould') }}</p>
    <el-button v-if="rows.length > FEW" text @click="showsAll = !showsAll">
      {{ showsAll ? t('common.fewer') : t('common.allOf', { of: rows.length }) }}
    </el-button>
  </section>
</template>

<style scoped src="./deskList.css"></style>

<style scoped>
/* As high as the rows that come. */
.waits {
  min-height: 290px;
}
</style>
