<script setup lang="ts">
import { computed, ref } from 'vue'
import NextThing from '../../parts/figures/NextThing.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'
import PaperCautions from '../../parts/print/PaperCautions.vue'
import ForkCard from './ForkCard.vue'
import HoldStill from './HoldStill.vue'
import PositionHead from './PositionHead.vue'

/** A position with all that is tried from it and all that they do there. */
const emit = defineEmits<{ say: [] }>()
const { moves } = useWorksheet()
/** What is tried only in reply stands below what is tried cold. */
const coldFirst = computed(() => moves.value.toSorted((a, b) => Number(a.reply ?? false) - Number(b.reply ?? false)))
const still = ref<{ focus: () => void }>()
</script>

<template>
  <PositionHead @say="emit('say')" @theirs="still?.focus()" />
  <NextThing />
  <ForkCard v-for="move in coldFirst" :key="move.id" :move="move" />
  <HoldStill ref="still" />
  <PaperCautions :moves="moves" />
</template>
