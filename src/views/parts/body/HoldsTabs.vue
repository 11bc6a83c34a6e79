<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'

/** The two ways to look at holds: one position, or a run step by step. */
defineProps<{ at: 'pin' | 'score' }>()
const TABS = [
  { key: 'pin', to: '/holds', name: 'One position' },
  { key: 'score', to: '/score', name: 'A run, limb by limb' },
]
</script>

<template>
  <TabLinks label="Holds" :tabs="TABS" :at="at" />
</template>
