<script setup lang="ts">
import { t } from '../../../words/shelf'
</script>

<template>
  <span class="check" :data-tip="t('shelf.inferredOrDoubtful')">{{ t('shelf.checkWithYourCoach') }}</span>
</template>

<style scoped>
.check {
  padding: 0 var(--space-8);
  border: 1px dashed var(--strong-line);
  border-radius: var(--corner);
  color: var(--muted);
  font: var(--weight-strong) var(--type-body) / 1.4 var(--label);
  white-space: nowrap;
}
</style>
