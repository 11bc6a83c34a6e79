<script setup lang="ts">
import { computed } from 'vue'
import type { Move } from '../../../core/chart/move'
import { symptomsOf } from '../../../core/shelf/symptoms'
import { t } from '../../../words/shelf'

/** When it goes wrong: what one feels or sees, at which step it was lost, and what to do. */
const { move } = defineProps<{ move: Move }>()
const symptoms = computed(() => symptomsOf(move))
</script>

<template>
  <section v-if="symptoms.length">
    <h3>{{ t('shelf.whenItGoesWrong') }}</h3>
    <table>
      <thead class="readers-only">
        <tr>
          <th>{{ t('shelf.whatOneFeels') }}</th>
          <th>{{ t('shelf.theStep') }}</th>
          <th>{{ t('shelf.whatToDo') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="symptom in symptoms" :key="symptom.step">
          <td>
            {{ symptom.felt }}
            <span v-if="symptom.because !== symptom.felt" class="muted small">{{ symptom.because }}</span>
          </td>
          <td>
            <b>{{ symptom.step }}</b>
          </td>
          <td>{{ symptom.cure }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}

td {
  padding: var(--space-4) var(--space-8) var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
  vertical-align: top;
}

td:nth-child(2) {
  color: var(--ours);
  text-align: center;
}

td span {
  display: block;
}
</style>
