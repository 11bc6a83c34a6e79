<script setup lang="ts">
import { computed } from 'vue'
import type { Move } from '../../../core/chart/move'
import { principlesIn } from '../../../core/shelf/principles'
import { useShelf } from '../../../stores/shelf'
import PrincipleList from '../shelf/PrincipleList.vue'
import { useWorksheet } from './sheet'

/** The principles that a move of the chart stands under, once the Shelf is there. */
const props = defineProps<{ move: Move }>()
const { chart } = useWorksheet()
const store = useShelf()
const governing = computed(() =>
  store.shelf ? principlesIn(chart.value, store.shelf, store.principles, props.move) : [],
)
</script>

<template>
  <PrincipleList :governing="governing" />
</template>
