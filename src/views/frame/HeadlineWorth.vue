<script setup lang="ts">
import { CaretBottom, CaretTop } from '@element-plus/icons-vue'
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { signed } from '../../core/say/figureText'
import { sayWorth } from '../../core/say/worth'
import { useFigures } from '../../stores/figures'
import AskedFigure from '../parts/figures/AskedFigure.vue'
import { t } from '../../words'

/** What the start is worth, by how much that has just moved, and the points that the rules give. */
const store = useFigures()
const isMatch = computed(() => store.scenario?.objective === 'win')
const now = useNow({ interval: 1000 })

/** For how long a change is shown, in milliseconds. */
const SHOWN = 12_000
const delta = computed(() => {
  const { change, figures } = store
  if (!change || !figures || now.value.getTime() - change.at > SHOWN) return null
  const moved = figures.value - change.from
  return Math.abs(moved) < 0.0005 ? null : moved
})
const deltaText = (moved: number) =>
  signed(moved) === '0' ? (moved * 100).toFixed(2).replace('-', '−') : signed(moved)
</script>

<template>
  <div class="headline">
    <span v-if="store.points" class="label"
      >{{ t('frame.worth') }}
      <RouterLink to="/rules" :data-tip="t('frame.expectedPointsAnExchangeUnderRules', { rules: store.rules?.name })"
        >{{ t('common.points') }}
        <b data-test="points">{{ store.points.ours.toFixed(1) }} : {{ store.points.theirs.toFixed(1) }}</b></RouterLink
      ></span
    >
    <RouterLink
      v-else-if="store.lacks.length"
      to="/desk"
      class="label rough"
      :data-tip="t('frame.tooLittleIsChartedToTrust')"
      >{{ t('frame.roughTooLittleCharted') }}</RouterLink
    >
    <span v-else class="label" :data-tip="sayWorth(store.scenario)">{{
      isMatch ? t('frame.toWin') : t('common.worth')
    }}</span>
    <span class="value" aria-live="polite" data-test="headline">
      <span v-if="delta !== null" class="delta" :class="delta > 0 ? 'up' : 'down'"
        ><component :is="delta > 0 ? CaretTop : CaretBottom" class="icon" /> {{ deltaText(delta) }}</span
      >
      <span v-else-if="store.isBusy" class="delta muted">…</span>
      <AskedFigure
        :value="store.figures?.value"
        :asked="{ of: 'start' }"
        :label="isMatch ? t('frame.toWin') : t('common.worthOfTheStart')"
      />
    </span>
  </div>
</template>

<style scoped>
.headline {
  display: grid;
  margin-left: auto;
  text-align: right;
  white-space: nowrap;
}

a {
  color: inherit;
}

.rough {
  color: var(--caution);
}

.value {
  display: inline-flex;
  justify-content: flex-end;
  align-items: baseline;
  gap: var(--space-8);
}

.value :deep(.number) {
  font-size: var(--type-title);
  line-height: 1;
}

.delta {
  font: var(--weight-strong) var(--type-lead) / 1 var(--label);
}

.up {
  color: var(--trap);
}

.down {
  color: var(--leak);
}
</style>
