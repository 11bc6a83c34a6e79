<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'
import { t } from '../../../words/runs'

/** The questions that Runs answers. */
defineProps<{ at: string }>()
const TABS = [
  { key: '', to: '/runs', name: t('common.theChainSaid') },
  { key: 'side-by-side', to: '/runs/side-by-side', name: t('common.sideBySide') },
  { key: 'rounds', to: '/runs/rounds', name: t('common.rounds') },
  { key: 'beat', to: '/runs/beat', name: t('common.howTheyWouldBeatUs') },
  { key: 'pictures', to: '/runs/pictures', name: t('common.inPictures') },
  { key: 'match', to: '/runs/match', name: t('common.theMatch') },
  { key: 'what-if', to: '/runs/what-if', name: t('common.whatIf') },
]
</script>

<template>
  <TabLinks :label="t('common.runs')" :tabs="TABS" :at="at" />
</template>
