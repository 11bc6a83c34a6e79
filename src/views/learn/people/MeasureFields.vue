<script setup lang="ts">
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf, valueOf } from '../../../components/events'
import { MEASURES, type ClubPerson, type Measure } from '../../../core/club/person'
import FieldGrid from './FieldGrid.vue'
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
  <FieldGrid
    v-slot="{ field }"
    :title="t('learn.measures')"
    :help="t('learn.measuresHelp')"
    :fields="MEASURES"
    :names="MEASURE_NAMES"
  >
    <SteadyInput
      type="number"
      min="3"
      max="300"
      :value="person.measures?.[field] ?? ''"
      @change="(event) => set(field, event)"
    />
  </FieldGrid>
</template>
