<script setup lang="ts">
import TabLinks from '../../../components/TabLinks.vue'
import { t } from '../../../words/train'

/** The classes of a club and its people. */
defineProps<{ at: 'classes' | 'people' | 'matches' }>()
const TABS = [
  { key: 'classes', to: '/sessions', name: t('train.classes') },
  { key: 'people', to: '/sessions/people', name: t('train.people') },
  { key: 'matches', to: '/sessions/matches', name: t('train.matchDay') },
]
</script>

<template>
  <TabLinks :label="t('train.ofTheClub')" :tabs="TABS" :at="at" />
</template>
