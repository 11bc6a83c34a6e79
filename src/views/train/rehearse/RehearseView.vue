<script setup lang="ts">
import { computed, defineAsyncComponent, type Component } from 'vue'
import TabLinks from '../../../components/TabLinks.vue'
import { useHomework } from '../../../stores/homework'
import { useShown } from '../../parts/layout/asked'
import CardsView from './CardsView.vue'
import { t as ofFrame } from '../../../words'
import { t } from '../../../words/rehearse'

/** Does one know the answer: by cards, in sparring with the plan, and by heart. */
const VIEWS: Record<string, Component> = {
  cards: CardsView,
  spar: defineAsyncComponent(() => import('./SparView.vue')),
  say: defineAsyncComponent(() => import('./SayBackView.vue')),
  homework: defineAsyncComponent(() => import('./HomeworkView.vue')),
}
const TABS = [
  { key: 'cards', to: '/rehearse', name: t('rehearse.seeAndDo') },
  { key: 'spar', to: '/rehearse/spar', name: t('rehearse.spar') },
  { key: 'say', to: '/rehearse/say', name: t('rehearse.sayItBack') },
  { key: 'homework', to: '/rehearse/homework', name: t('rehearse.setHomework') },
]
const homework = useHomework()
void homework.start()
/** Who has homework sets none. */
const tabs = computed(() => (homework.pack ? TABS.filter(({ key }) => key !== 'homework') : TABS))
const at = useShown(VIEWS, 'cards')
</script>

<template>
  <section class="rehearse" :aria-label="ofFrame('frame.rehearse')">
    <TabLinks :label="ofFrame('frame.rehearse')" :tabs="tabs" :at="at" />
    <component :is="VIEWS[at]" />
  </section>
</template>

<style scoped>
.rehearse {
  display: grid;
  grid-template-columns: minmax(0, 560px);
  gap: var(--space-12);
  align-content: start;
  justify-content: center;
  padding: var(--space-12) var(--space-16);
}
</style>
