<script setup lang="ts">
import { onMounted, ref } from 'vue'
import type { NearMiss } from '../../../core/notation/near'

/** Asks whether a name that is nearly a charted one means that one. */
defineProps<{ miss: NearMiss }>()
const emit = defineEmits<{ meant: []; fresh: [] }>()
const yes = ref<HTMLButtonElement>()
onMounted(() => yes.value?.focus())
</script>

<template>
  <p class="miss" role="alert" @keydown.stop>
    Did you mean <b>{{ miss.meant }}</b>?
    <button ref="yes" type="button" class="button" @click="emit('meant')">Yes, {{ miss.meant }}</button>
    <button type="button" class="button quiet" @click="emit('fresh')">No, “{{ miss.said }}” is new</button>
  </p>
</template>

<style scoped>
.miss {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
}
</style>
