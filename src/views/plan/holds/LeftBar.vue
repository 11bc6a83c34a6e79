<script setup lang="ts">
import { leftWords } from '../../../core/holds/limbWords'
import { gradeOf } from '../../../core/holds/pinCheck'

/**
 * How much of a capability is left to them: the filled part is what our holds shut. Cut at the corner, as all of theirs
 * is.
 */
defineProps<{ left: number }>()
</script>

<template>
  <span class="left" :class="gradeOf(left)">
    <svg viewBox="0 0 62 14" aria-hidden="true">
      <path class="all" d="M1 1H56L61 6V13H1Z" />
      <rect class="shut" x="1" y="1" :width="(1 - left) * 60" height="12" />
    </svg>
    {{ leftWords(left) }}
  </span>
</template>

<style scoped>
.left {
  display: inline-flex;
  align-items: center;
  gap: var(--space-8);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
  white-space: nowrap;
}

svg {
  flex: none;
  width: 62px;
  height: 14px;
}

.all {
  fill: var(--theirs-soft);
  stroke: var(--theirs);
  stroke-width: 1.2;
}

.shut rect.shut,
rect.shut {
  fill: var(--ours);
}

.open {
  color: var(--theirs);
}
</style>
