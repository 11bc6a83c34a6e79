<script setup lang="ts">
import { present } from '../../../core/sure'
import type { Endings } from '../../../core/insight/figures'
import { sayWorth } from '../../../core/say/worth'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import TooLittle from '../../parts/figures/TooLittle.vue'
import EndingsBar from './EndingsBar.vue'

/** The start's value, a sentence a coach would say, and what becomes of a hundred; more beside and below in slots. */
defineProps<{
  name: string
  /** Of the value: a word below it, and what it is to who listens. */
  label: string
  figure: string
  sentence: string
  endings: Readonly<Record<keyof Endings, string>>
}>()
const store = useFigures()
</script>

<template>
  <section class="panel start" :aria-label="name">
    <div class="worth">
      <AskedFigure :value="present(store.figures).value" :asked="{ of: 'start' }" :label="figure" />
      <span class="label">{{ label }}</span>
      <slot name="beside" />
    </div>
    <div class="rest" :class="{ stale: store.stale }">
      <TooLittle />
      <p class="sentence">{{ sentence }}</p>
      <slot />
      <EndingsBar :endings="present(store.figures).endings" :names="endings" />
      <p class="muted small">{{ sayWorth(store.scenario) }}</p>
    </div>
  </section>
</template>

<style scoped>
.start {
  display: flex;
  gap: var(--space-24);
  padding: var(--space-16) var(--space-24);
}

.worth {
  display: grid;
  align-content: center;
  justify-items: center;
}

.worth :deep(.number) {
  font-size: var(--type-figure);
  line-height: 1;
}

.rest {
  flex: 1;
  display: grid;
  gap: var(--space-12);
}

.sentence {
  font-size: var(--type-lead);
  line-height: 1.4;
  max-width: 70ch;
}

@media (width < 768px) {
  .start {
    display: grid;
    gap: var(--space-12);
    padding: var(--space-16);
  }

  .worth {
    grid-auto-flow: column;
    gap: var(--space-8);
    align-items: baseline;
    justify-content: start;
  }
}
</style>
