<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'
import { t } from '../../../words'

/** The two ways to look at holds: one position, or a run step by step. */
defineProps<{ at: 'pin' | 'score' }>()
const TABS = [
  { key: 'pin', to: '/holds', name: t('body.onePosition') },
  { key: 'score', to: '/score', name: t('common.aRunLimbByLimb') },
]
</script>

<template>
  <TabLinks :label="t('common.holds')" :tabs="TABS" :at="at" />
</template>
