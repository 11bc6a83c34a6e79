<script setup lang="ts">
import { computed } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import type { IfResult } from '../../../core/questions/whatIf'
import { sayChange } from '../../../core/say/whatIf'
import { t } from '../../../words/learn'

/** Where the plan is otherwise for who plays against whom, the places first that are come to most. */
const props = defineProps<{ chart: Chart; found: IfResult; who?: string }>()
/** So many have room. */
const MOST = 5
const says = computed(() => props.found.changes.slice(0, MOST).map((one) => sayChange(props.chart, one)))
</script>

<template>
  <section :aria-label="[t('learn.planOtherwise'), who].filter(Boolean).join(': ')">
    <h3>{{ t('learn.planOtherwise') }}</h3>
    <p v-if="!says.length" class="muted">{{ t('learn.planStays') }}</p>
    <ul v-else>
      <li v-for="line in says" :key="line">{{ line }}</li>
    </ul>
  </section>
</template>
