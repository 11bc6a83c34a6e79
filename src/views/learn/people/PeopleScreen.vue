<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { useRoute } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { useClubs } from '../../../stores/clubs'
import { useAsked } from '../../parts/layout/asked'
import ClubScreen from '../../parts/club/ClubScreen.vue'
import PeopleView from './PeopleView.vue'

/** Each is fetched when it is asked for. */
const BesideView = defineAsyncComponent(() => import('./BesideView.vue'))
const MemoryView = defineAsyncComponent(() => import('./MemoryView.vue'))
const PersonPage = defineAsyncComponent(() => import('./PersonPage.vue'))
const RivalsView = defineAsyncComponent(() => import('./RivalsView.vue'))

const clubs = useClubs()
const route = useRoute()
const asked = useAsked()
const what = computed(() => String(route.params.what))
const person = computed(() => lookUp(clubs.club?.people ?? [], asked('person')))
</script>

<template>
  <ClubScreen>
    <RivalsView v-if="what === 'rivals'" />
    <BesideView v-else-if="what === 'beside'" />
    <MemoryView v-else-if="what === 'memory'" />
    <PersonPage v-else-if="what === 'page' && person" :key="person.id" :person="person" />
    <PeopleView v-else />
  </ClubScreen>
</template>
