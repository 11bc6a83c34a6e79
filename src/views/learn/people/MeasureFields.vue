<script setup lang="ts">
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf, valueOf } from '../../../components/events'
import { MEASURES, type ClubPerson, type Measure } from '../../../core/club/person'
import { MEASURE_NAMES } from './measures'
import { t } from '../../../words/learn'

/** Lengths and girths in cm; a trait that is not set follows from them, and so do the rules of thumb about bodies. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ change: [measures: ClubPerson['measures']] }>()

function set(measure: Measure, event: Event) {
  const { [measure]: _, ...others } = props.person.measures ?? {}
  const measures = valueOf(event) ? { ...others, [measure]: numberOf(event) } : others
  emit('change', Object.keys(measures).length ? measures : undefined)
}
</script>

<template>
  <section :aria-label="t('learn.measures')">
    <h3>{{ t('learn.measures') }}</h3>
    <p class="small muted">{{ t('learn.measuresHelp') }}</p>
    <div class="measures">
      <label v-for="measure in MEASURES" :key="measure">
        <span class="label">{{ MEASURE_NAMES[measure] }}</span>
        <SteadyInput
          type="number"
          min="3"
          max="300"
          :value="person.measures?.[measure] ?? ''"
          @change="(event) => set(measure, event)"
        />
      </label>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-8);
}

.measures {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: var(--space-8) var(--space-12);
}

label {
  display: grid;
  gap: var(--space-4);
}
</style>
