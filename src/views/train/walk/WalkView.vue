<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { useClubs } from '../../../stores/clubs'
import NoClub from '../../parts/club/NoClub.vue'
import WalkBlock from './WalkBlock.vue'
import { t } from '../../../words/train'

/** Walking round while the class works: which mistake does one see, in how many pairs. */
const clubs = useClubs()
void clubs.start()
clubs.onScreen()
const session = computed(() => {
  const { sessions = [], live } = clubs.club ?? {}
  return lookUp(sessions, live?.session) ?? sessions.toSorted((a, b) => (a.when < b.when ? 1 : -1))[0]
})
</script>

<template>
  <template v-if="clubs.isReady">
    <NoClub v-if="!clubs.club" />
    <WalkBlock v-else-if="session" :session="session" />
    <p v-else class="none">
      {{ t('train.noClassYet') }} <RouterLink to="/sessions">{{ t('frame.sessions') }}</RouterLink>
    </p>
  </template>
</template>

<style scoped>
.none {
  padding: var(--space-16);
}
</style>
