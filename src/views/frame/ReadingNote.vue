<script setup lang="ts">
import { useReading } from '../../stores/reading'
import { t } from '../../words'

/** How far the reading of a large file is, and a way to stop it. */
const reading = useReading()
</script>

<template>
  <div class="reading" role="status">
    <span>{{ t('frame.readingTheFile') }}</span>
    <el-progress :percentage="Math.round(100 * (reading.progress ?? 1))" :stroke-width="10" />
    <el-button @click="reading.stop()">{{ t('common.stop') }}</el-button>
  </div>
</template>

<style scoped>
.reading {
  position: fixed;
  z-index: 61;
  right: 0;
  bottom: 24px;
  left: 0;
  display: grid;
  grid-template-columns: auto 1fr auto;
  align-items: center;
  gap: var(--space-16);
  width: min(460px, 92vw);
  margin: 0 auto;
  padding: var(--space-12) var(--space-16);
  border: 1px solid var(--line);
  border-radius: var(--corner-panel);
  background: var(--panel);
  box-shadow: var(--shadow);
}
</style>
