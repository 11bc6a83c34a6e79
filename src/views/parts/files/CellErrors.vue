<script setup lang="ts">
import type { CellError } from '../../../core/files/in/readTable'
import { t } from '../../../words/files'

/** What is wrong in a file of rows or lines, each with its place; nothing of it was taken. */
defineProps<{ errors: readonly CellError[] }>()
/** More than anyone mends at once. */
const MOST = 40
</script>

<template>
  <div>
    <p>{{ t('files.nothingWasTaken') }}</p>
    <ul data-test="problems">
      <li v-for="({ line, column, message }, i) in errors.slice(0, MOST)" :key="i">
        {{ column ? t('files.atCell', { line, column, message }) : t('files.atLine', { line, message }) }}
      </li>
    </ul>
    <p v-if="errors.length > MOST" class="muted">{{ t('files.andMore', { n: errors.length - MOST }) }}</p>
  </div>
</template>

<style scoped>
ul {
  max-height: 45vh;
  overflow: auto;
  margin: var(--space-8) 0;
}

li {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
  overflow-wrap: anywhere;
}
</style>
