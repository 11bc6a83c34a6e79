<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { isOf, type Place } from './places'

/** The way to a screen, by its icon and its name; it says where one is. */
const { place } = defineProps<{ place: Place }>()
const route = useRoute()
const isHere = computed(() => isOf(place, route.path))
</script>

<template>
  <RouterLink :to="place.to" :class="{ here: isHere }" :aria-current="isHere ? 'page' : undefined"
    ><component :is="place.icon" class="icon" />{{ place.name }}</RouterLink
  >
</template>
