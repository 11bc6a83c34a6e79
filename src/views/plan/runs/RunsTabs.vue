<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'

/** The questions that Runs answers. */
defineProps<{ at: string }>()
const TABS = [
  { key: '', to: '/runs', name: 'The chain, said' },
  { key: 'side-by-side', to: '/runs/side-by-side', name: 'Side by side' },
  { key: 'rounds', to: '/runs/rounds', name: 'Rounds' },
  { key: 'beat', to: '/runs/beat', name: 'How they would beat us' },
  { key: 'what-if', to: '/runs/what-if', name: 'What if' },
]
</script>

<template>
  <TabLinks label="Runs" :tabs="TABS" :at="at" />
</template>
