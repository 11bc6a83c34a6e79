<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'

/** A row of a list of the club's; `here`: it is the one whose sheet is shown. */
defineProps<{ here: boolean }>()
const emit = defineEmits<{ show: [] }>()
</script>

<template>
  <li>
    <RowButton class="row" :class="{ here }" :aria-current="here ? 'true' : undefined" @click="emit('show')">
      <slot />
    </RowButton>
  </li>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-8);
  align-items: baseline;
  width: 100%;
  min-height: var(--control);
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner);
}

.row:hover {
  background: var(--band);
}

.here {
  background: var(--ours-soft);
}
</style>
