<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useClubs } from '../../../stores/clubs'
import NoClub from '../../parts/club/NoClub.vue'
import BeginClass from './BeginClass.vue'
import { useHandedOver } from '../../parts/club/handedOver'
import HandOver from './HandOver.vue'
import LogView from './LogView.vue'
import MatClock from './MatClock.vue'
import { provideLive } from './live'
import WholeFrame from './WholeFrame.vue'

/** The class that is on: its clock and its mats; or, with a number in the address, the log of one mat. */
const clubs = useClubs()
void clubs.start()
clubs.onScreen()
const route = useRoute()
const handed = useHandedOver()
const live = provideLive()
const mat = computed(() => live.live.value?.mats.find(({ n }) => n === Number(route.params.n)))

/** The screen stays lit while a class is on. */
const { isSupported, request, release } = useWakeLock()
watch(
  () => live.live.value !== undefined,
  (isOn) => {
    // Where it is refused, as with a low battery, the class goes on without.
    if (isSupported.value) void (isOn ? request('screen') : release()).catch(() => undefined)
  },
  { immediate: true },
)
</script>

<template>
  <template v-if="clubs.isReady">
    <NoClub v-if="!clubs.club" />
    <WholeFrame v-else>
      <LogView v-if="mat" :key="mat.n" :mat="mat" />
      <HandOver v-else-if="handed.mat" :mat="handed.mat" />
      <BeginClass v-else-if="!live.live.value" />
      <MatClock v-else />
    </WholeFrame>
  </template>
</template>
