<script setup lang="ts">
import { t } from '../../../words'
</script>

<template>
  <span class="check" :title="t('shelf.inferredOrDoubtful')">{{ t('shelf.checkWithYourCoach') }}</span>
</template>

<style scoped>
.check {
  padding: 0 7px;
  border: 1px dashed var(--strong-line);
  border-radius: 6px;
  color: var(--muted);
  font: 600 14px/1.4 var(--label);
  white-space: nowrap;
}
</style>
