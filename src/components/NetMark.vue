<script setup lang="ts">
import { computed } from 'vue'
import { finer, signed } from '../core/say/figureText'
import { t } from '../words'

/** Net of an escape attempt: an upward wedge for a trap, a downward one for a leak, a level bar between. */
const props = defineProps<{ net: number; noteworthy: number }>()
const kind = computed(() => (props.net >= props.noteworthy ? 'trap' : props.net <= -props.noteworthy ? 'leak' : 'even'))
const SAID = { trap: t('marks.trap'), leak: t('marks.leak'), even: t('marks.even') }
</script>

<template>
  <span class="net" :class="kind" :data-tip="t('common.labelled', { label: SAID[kind], value: finer(net) })">
    <svg viewBox="0 0 12 12" aria-hidden="true">
      <path v-if="kind === 'trap'" d="M6 1 11 10H1z" />
      <path v-else-if="kind === 'leak'" d="M6 11 1 2h10z" />
      <path v-else d="M1 5h10v2.5H1z" />
    </svg>
    <span class="readers-only">{{ SAID[kind] }}</span>
    {{ signed(net) }}
  </span>
</template>

<style scoped>
.net {
  display: inline-flex;
  align-items: center;
  gap: var(--space-4);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
  color: var(--muted);
}

.net svg {
  width: 12px;
  height: 12px;
  fill: currentcolor;
}

.trap {
  color: var(--trap);
}

.leak {
  color: var(--leak);
}
</style>
