<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import NextThing from '../../parts/figures/NextThing.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'
import PaperCautions from '../../parts/print/PaperCautions.vue'
import ForkCard from './ForkCard.vue'
import HoldStill from './HoldStill.vue'
import PositionHead from './PositionHead.vue'
import SeeAndDo from './SeeAndDo.vue'

/** A position with all that is tried from it and all that they do there. */
const emit = defineEmits<{ say: [] }>()
const { moves, position } = useWorksheet()
/** What is tried only in reply stands below what is tried cold. */
const coldFirst = computed(() => moves.value.toSorted((a, b) => Number(a.reply ?? false) - Number(b.reply ?? false)))
const see = ref<{ focus: () => void }>()
/** The position for which the coach wants to say what is seen, though nothing is yet. */
const isSeeing = ref('')
function startSeeing() {
  isSeeing.value = position.value?.id ?? ''
  see.value?.focus()
}
watch(see, (table) => {
  if (table && isSeeing.value === position.value?.id) table.focus()
})
const still = ref<{ focus: () => void }>()
</script>

<template>
  <PositionHead @say="emit('say')" @theirs="still?.focus()" @see="startSeeing" />
  <NextThing />
  <SeeAndDo v-if="position?.seen || isSeeing === position?.id" ref="see" />
  <ForkCard v-for="move in coldFirst" :key="move.id" :move="move" />
  <HoldStill ref="still" />
  <PaperCautions :moves="moves" />
</template>
