<script setup lang="ts">
import { defineAsyncComponent, type Component } from 'vue'
import TabLinks from '../../../components/TabLinks.vue'
import ClubScreen from '../../parts/club/ClubScreen.vue'
import OfTheExchange from '../../parts/figures/OfTheExchange.vue'
import { useShown } from '../../parts/layout/asked'
import PrintButton from '../../parts/print/PrintButton.vue'
import { t } from '../../../words/learn'

/** Each is fetched when it is asked for. */
const VIEWS: Record<string, Component> = {
  lands: defineAsyncComponent(() => import('./WhatLands.vue')),
  weeks: defineAsyncComponent(() => import('./WeekByWeek.vue')),
  room: defineAsyncComponent(() => import('./InTheRoom.vue')),
  true: defineAsyncComponent(() => import('./CameTrue.vue')),
  two: defineAsyncComponent(() => import('./BetterOfTwo.vue')),
}
/** What says how much the plan is worth. */
const WORTH_MORE_OR_LESS = ['lands', 'weeks', 'true']
const TABS = [
  { key: 'lands', to: '/trends', name: t('learn.whatLands') },
  { key: 'weeks', to: '/trends/weeks', name: t('learn.weekByWeek') },
  { key: 'room', to: '/trends/room', name: t('learn.inTheRoom') },
  { key: 'true', to: '/trends/true', name: t('learn.didItComeTrue') },
  { key: 'two', to: '/trends/two', name: t('learn.betterOfTwo') },
]
const at = useShown(VIEWS, 'lands')
</script>

<template>
  <ClubScreen>
    <section class="trends" :aria-label="t('learn.trends')">
      <header>
        <TabLinks :label="t('learn.trends')" :tabs="TABS" :at="at" />
        <PrintButton />
      </header>
      <OfTheExchange v-if="WORTH_MORE_OR_LESS.includes(at)" />
      <component :is="VIEWS[at]" />
    </section>
  </ClubScreen>
</template>

<style scoped>
.trends {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-16);
  align-content: start;
  padding: var(--space-16);
}

@media print {
  .trends {
    gap: var(--space-8);
    padding: 0;
  }
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  justify-content: space-between;
}
</style>
