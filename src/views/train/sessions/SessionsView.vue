<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useRoute } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { useClubs } from '../../../stores/clubs'
import { useAsked } from '../../parts/layout/asked'
import ClubScreen from '../../parts/club/ClubScreen.vue'
import ClassesView from './ClassesView.vue'

/** Each is fetched when it is asked for. */
const BlockCards = defineAsyncComponent(() => import('./BlockCards.vue'))
const LimitsView = defineAsyncComponent(() => import('./LimitsView.vue'))
const MatchDay = defineAsyncComponent(() => import('./MatchDay.vue'))
const ReviewSheet = defineAsyncComponent(() => import('./ReviewSheet.vue'))
const TakeHome = defineAsyncComponent(() => import('./TakeHome.vue'))

const clubs = useClubs()
const route = useRoute()
const asked = useAsked()
const what = computed(() => String(route.params.what))
/** The class that a sheet of its own is asked of. */
const asksOf = computed(() => lookUp(clubs.club?.sessions ?? [], asked('class')))
</script>

<template>
  <ClubScreen>
    <MatchDay v-if="what === 'matches'" />
    <LimitsView v-else-if="what === 'limits'" />
    <ReviewSheet v-else-if="asksOf && what === 'review'" :session="asksOf" />
    <BlockCards v-else-if="asksOf && what === 'cards'" :session="asksOf" />
    <TakeHome v-else-if="asksOf && what === 'home'" :session="asksOf" />
    <ClassesView v-else />
  </ClubScreen>
</template>
