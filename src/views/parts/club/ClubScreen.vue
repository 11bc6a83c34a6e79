<script setup lang="ts">
import { useClubs } from '../../../stores/clubs'
import NoClub from './NoClub.vue'

/** A screen of the club: fetched and open while it is shown, or the ways to one where there is none. */
const clubs = useClubs()
void clubs.start()
clubs.onScreen()
</script>

<template>
  <template v-if="clubs.isReady">
    <slot v-if="clubs.club" />
    <NoClub v-else />
  </template>
</template>
