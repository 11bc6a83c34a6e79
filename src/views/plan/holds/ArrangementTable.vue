<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { hundred } from '../../../core/say/figureText'
import { arrangementsOf, compareArrangements, switchingPlan } from '../../../core/holds/compareArrangements'
import { useFigures } from '../../../stores/figures'
import { useHolds } from './holds'
import LeftBar from './LeftBar.vue'
import SwitchPlan from './SwitchPlan.vue'
import { t } from '../../../words/holds'

/** The arrangements of one pin side by side: what each leaves of every escape, and where to switch against which. */
const { chart, position } = useHolds()
const store = useFigures()
const compared = computed(() =>
  compareArrangements(chart.value, arrangementsOf(chart.value, present(position.value).id)),
)
const isComparable = computed(() => compared.value.arrangements.length > 1 && compared.value.escapes.length > 0)
const plan = computed(() => switchingPlan(chart.value, present(position.value).id, compared.value))
const worthOf = (id: keyof NonNullable<typeof store.figures>['positions']) => store.figures?.positions[id]?.value
</script>

<template>
  <section v-if="isComparable" class="panel arrangements" :aria-label="t('holds.arrangementsSideBySide')">
    <h2>
      {{ t('holds.arrangementsSideBySide') }}
      <span>{{ t('holds.whatEachLeavesOfTheirEscapes') }} </span>
    </h2>
    <SwitchPlan v-if="plan.length" :plan="plan" />
    <p v-else class="muted small">{{ t('holds.againstWhatTheyDoHereNo') }}</p>
    <div class="scrolls" tabindex="0" role="group" :aria-label="t('holds.theTableOfArrangements')">
      <table>
        <thead>
          <tr>
            <th>{{ t('common.they2') }}</th>
            <th v-for="one in compared.arrangements" :key="one.id" :class="{ here: one.id === position!.id }">
              <RouterLink :to="`/holds/${one.id}`">{{ one.name }}</RouterLink>
              <b v-if="worthOf(one.id) !== undefined"> {{ hundred(worthOf(one.id)!) }}</b>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="escape in compared.escapes" :key="escape.reaction">
            <td>{{ escape.name }}</td>
            <td v-for="(left, i) in escape.left" :key="i" :class="{ best: escape.best === i }">
              <LeftBar :left="left" />
              <span v-if="escape.best === i" class="small">&nbsp;{{ t('holds.least') }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped src="./holdsPanel.css"></style>

<style scoped>
.scrolls {
  overflow-x: auto;
}

th {
  min-width: 104px;
  vertical-align: bottom;
}

th.here {
  color: var(--ink);
  border-bottom: 3px solid var(--ours);
}

th b {
  margin-left: var(--space-8);
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.scrolls :deep(svg) {
  width: 40px;
}

.scrolls :is(td, th) {
  padding-right: var(--space-8);
}

.best {
  font-weight: var(--weight-strong);
}

/* On paper nothing can be scrolled to: the words are broken in place of it. */
@media print {
  .scrolls {
    overflow: visible;
  }

  th {
    min-width: 0;
  }

  .scrolls :deep(svg) {
    display: none;
  }

  .scrolls :deep(.left) {
    font-size: var(--type-body);
    white-space: normal;
  }
}
</style>
