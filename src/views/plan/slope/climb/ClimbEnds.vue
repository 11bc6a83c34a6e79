<script setup lang="ts">
import type { EndBar } from '../../../../core/climb/picture'
import { THEIR_ENDS } from '../../../../core/climb/theirs'
import type { Chair } from '../../../../core/questions/climbs'
import { hundred } from '../../../../core/say/figureText'
import { t } from '../../../../words/slope'

/** The column of what ends it: bars as long as it happens often, those of the other chair at the foot. */
const props = defineProps<{ bars: readonly EndBar[]; chair: Chair }>()
const isTurned = (bar: EndBar) => (props.chair === 'theirs') !== bar.isTheirs
function nameOf({ key, name, isTheirs }: EndBar) {
  if (props.chair === 'theirs') return key === THEIR_ENDS[1] ? t('slope.theyEndAhead') : THEIRS[Number(isTheirs)]
  return name || (isTheirs ? t('slope.theyFinish') : t('slope.otherFinishes'))
}
const THEIRS = [t('slope.theyFinish'), t('slope.weFinish')]
</script>

<template>
  <g v-for="bar in bars" :key="bar.key" class="end" :class="{ theirs: isTurned(bar) }">
    <rect :x="bar.x" :y="bar.y" :width="bar.length" height="10" rx="3" />
    <text :x="bar.x" :y="bar.y + 24">
      {{ nameOf(bar) }}
      <tspan class="number">{{ hundred(bar.per / 100) }}</tspan>
    </text>
  </g>
</template>

<style scoped>
rect {
  fill: var(--ours);
}

.theirs rect {
  fill: var(--theirs);
}

text {
  fill: var(--ink);
  font-size: var(--type-picture);
}

.number {
  fill: var(--muted);
  font-size: var(--type-picture);
}
</style>
