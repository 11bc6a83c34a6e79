<script setup lang="ts">
import { computed } from 'vue'
import { leftWords } from '../../../core/holds/limbWords'
import type { Switch } from '../../../core/holds/compareArrangements'
import { lookUp } from '../../../core/chart/lookUp'
import { useHolds } from './holds'
import { t } from '../../../words/holds'

/** The switching plan, drawn: from here, at which escape, by which move, to which arrangement. */
const props = defineProps<{ plan: readonly Switch[] }>()
const { chart, position } = useHolds()
const rows = computed(() =>
  props.plan.map((one) => ({
    ...one,
    escape: lookUp(chart.value.reactions, one.reaction)?.name,
    by: lookUp(chart.value.moves, one.move)?.name,
    name: lookUp(chart.value.positions, one.to)?.name,
  })),
)
</script>

<template>
  <ol class="plan" :aria-label="t('holds.fromPositionWhereToSwitchAgainst', { position: position!.name })">
    <li v-for="(row, i) in rows" :key="row.reaction">
      <span class="ledge from">{{ i === 0 ? position!.name : '' }}</span>
      <span class="escape">{{ row.escape }}</span>
      <span class="line" :class="{ loose: !row.by }">
        <span>{{ row.by ?? t('holds.noMoveThatSwitchesIsCharted') }}</span>
      </span>
      <span class="ledge">
        <RouterLink :to="`/holds/${row.to}`">{{ row.name }}</RouterLink>
        <span class="muted small">
          {{ t('holds.beforeHereAfterThere', { before: leftWords(row.before), after: leftWords(row.after) }) }}</span
        >
      </span>
    </li>
  </ol>
</template>

<style scoped>
.plan {
  padding-top: var(--space-8);
  list-style: none;
}

li {
  display: grid;
  grid-template-columns: minmax(110px, 1fr) minmax(110px, 1fr) minmax(120px, 1.1fr) minmax(150px, 1.5fr);
  align-items: center;
  min-height: 44px;
  padding: 0;
  border: 0;
}

.ledge {
  padding: var(--space-4) var(--space-8) var(--space-4);
  border-bottom: 5px solid var(--ours);
  border-radius: 0 0 var(--corner) var(--corner);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.from {
  align-self: stretch;
  display: flex;
  align-items: end;
  border-color: var(--ours);
}

/** A stem leads from the ledge that we are on down to each escape. */
li:not(:first-child) .from {
  position: relative;
  border-bottom-color: transparent;
}

li:not(:first-child) .from::before {
  position: absolute;
  inset: -52% auto 50% calc(100% - 26px);
  border-left: 2px solid var(--theirs);
  content: '';
}

li:first-child .from::after {
  flex: 1;
  align-self: center;
  margin: 0 0 0 var(--space-8);
  border-top: 2px solid var(--theirs);
  content: '';
}

li:not(:first-child) .from::after {
  position: absolute;
  inset: 50% 0 auto calc(100% - 26px);
  border-top: 2px solid var(--theirs);
  content: '';
}

.ledge .small {
  display: block;
}

.escape {
  padding: var(--space-4) var(--space-12) var(--space-4) var(--space-8);
  border: 1.5px solid var(--theirs);
  clip-path: polygon(0 0, calc(100% - 9px) 0, 100% 9px, 100% 100%, 0 100%);
  color: var(--theirs);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.line {
  position: relative;
  padding: 0 var(--space-16) var(--space-4) var(--space-8);
  border-bottom: 2px solid var(--ours);
  margin-bottom: var(--space-16);
  color: var(--ours);
  font: var(--weight-strong) var(--type-body) / 1.15 var(--label);
  text-align: center;
}

.line::after {
  position: absolute;
  right: 0;
  bottom: -6px;
  border: 5px solid transparent;
  border-left: 8px solid var(--ours);
  border-right: 0;
  content: '';
}

.loose {
  border-bottom-style: dashed;
  color: var(--muted);
}

@media (width < 900px) {
  li {
    grid-template-columns: 1fr 1fr;
    padding-bottom: var(--space-12);
  }
}
</style>
