<script setup lang="ts">
import { t } from '../words'
/** What a submission can injure, in words; the sign only draws the eye to them. */
defineProps<{ part: string; speed?: string | undefined }>()
</script>

<template>
  <span class="hazard">
    <svg viewBox="0 0 16 16" aria-hidden="true">
      <path d="M8 1.5 15 14H1z" />
      <path d="M8 6v4M8 11.6v.9" class="sign" />
    </svg>
    <span class="readers-only">{{ t('marks.caution') }}</span> {{ part }}<template v-if="speed">, {{ speed }}</template>
  </span>
</template>

<style scoped>
.hazard {
  display: inline-flex;
  align-items: center;
  gap: var(--space-4);
  padding: 0 var(--space-8) 0 var(--space-4);
  border: 1px solid var(--caution);
  border-radius: var(--corner);
  background: var(--caution-soft);
  color: var(--caution);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}

svg {
  width: 14px;
  height: 14px;
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.5;
  stroke-linejoin: round;
}

.sign {
  stroke-width: 1.6;
}
</style>
