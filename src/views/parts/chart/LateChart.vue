<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue'
import { heightOf, type ChartData } from './picture'

/** A picture of figures in the room that is kept for it: what draws it, and perhaps the figures, come later. */
const props = defineProps<{ title: string; data: ChartData | null; say: (value: number) => string }>()
const ChartPicture = defineAsyncComponent(() => import('./ChartPicture.vue'))
/** Its title and the way to its table. */
const AROUND = 66
const height = computed(() => (props.data ? heightOf(props.data) : heightOf({ labels: [] })) + AROUND)
</script>

<template>
  <div class="late" :style="{ minHeight: `${height}px` }">
    <ChartPicture v-if="data" v-bind="{ title, data, say }" />
  </div>
</template>

<style scoped>
.late {
  min-width: 0;
}
</style>
