<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { useClubs } from '../../../stores/clubs'
import { useAsked } from '../../parts/layout/asked'
import NoClub from '../../parts/club/NoClub.vue'
import ClassesView from './ClassesView.vue'
import MatchDay from './MatchDay.vue'
import PeopleView from './PeopleView.vue'
import ReviewSheet from './ReviewSheet.vue'

const clubs = useClubs()
void clubs.start()
clubs.onScreen()
const route = useRoute()
const asked = useAsked()
const what = computed(() => String(route.params.what))
const reviewed = computed(() =>
  what.value === 'review' ? lookUp(clubs.club?.sessions ?? [], asked('class')) : undefined,
)
</script>

<template>
  <template v-if="clubs.isReady">
    <NoClub v-if="!clubs.club" />
    <PeopleView v-else-if="what === 'people'" />
    <MatchDay v-else-if="what === 'matches'" />
    <ReviewSheet v-else-if="reviewed" :session="reviewed" />
    <ClassesView v-else />
  </template>
</template>
