<script setup lang="ts">
import { computed } from 'vue'

/** Sentences in which a number in brackets leads to the paragraph that has it. */
const props = defineProps<{ sentences: readonly string[] }>()
const emit = defineEmits<{ go: [number: number] }>()
const parts = computed(() => props.sentences.join(' ').split(/(\(\d+\))/))
const isNumber = (part: string) => /^\(\d+\)$/.test(part)
</script>

<template>
  <template v-for="(part, i) in parts" :key="i">
    <a v-if="isNumber(part)" :href="`#${part}`" @click.prevent="emit('go', Number(part.slice(1, -1)))">{{ part }}</a>
    <template v-else>{{ part }}</template>
  </template>
</template>

<style scoped>
a {
  color: var(--ours);
  font-weight: var(--weight-strong);
}
</style>
