<script setup lang="ts">
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/match'

/** Said where a match is to be won, at what is worked out for the exchange that it is in all the same. */
const figures = useFigures()
</script>

<template>
  <p v-if="figures.scenario?.objective === 'win'" class="muted">{{ t('match.ofTheExchange') }}</p>
</template>
