<script setup lang="ts">
import { computed } from 'vue'
import { hundred } from '../../../core/say/figureText'
import { sayRange } from '../../../core/say/range'
import { useRange } from '../../../stores/range'
import { t } from '../../../words'

/** The range of the headline: asked for with one press, watched, and given up with another. */
const store = useRange()
const says = computed(() => (store.range ? sayRange(store.range, hundred).join(' ') : ''))
const close = computed(() => store.range?.close.length ?? 0)
</script>

<template>
  <span class="sure">
    <span v-if="store.progress !== null" role="status">
      <progress :value="store.progress" :aria-label="t('figures.howFarTheRangeIs')" />
      <el-button text @click="store.stop()">{{ t('common.stop') }}</el-button>
    </span>
    <el-button v-else-if="!store.range" text :data-tip="t('figures.howFarTheWorthCouldBe')" @click="store.ask()">
      {{ t('figures.howSure') }}
    </el-button>
    <span v-else role="status" :data-tip="says">
      <b>{{ t('figures.lowToHigh', { low: hundred(store.range.kept.low), high: hundred(store.range.kept.high) }) }}</b>
      <RouterLink v-if="close" to="/runs/what-if" class="small">{{
        t('figures.placesTooCloseToCall', { places: t('count.place', close) })
      }}</RouterLink>
    </span>
  </span>
</template>

<style scoped>
.sure > span {
  display: grid;
  justify-items: center;
  gap: var(--space-4);
}

b {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  white-space: nowrap;
}

progress {
  width: 96px;
  accent-color: var(--ours);
}
</style>
