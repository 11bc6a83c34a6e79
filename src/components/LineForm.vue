<script setup lang="ts">
import { ref } from 'vue'

/** One line that is typed and given: a name, a note. It is empty again afterwards; an empty one gives nothing. */
defineProps<{ label: string; placeholder: string; give: string }>()
const emit = defineEmits<{ give: [text: string] }>()
const text = ref('')

function submit() {
  const given = text.value.trim()
  text.value = ''
  if (given) emit('give', given)
}
</script>

<template>
  <form @submit.prevent="submit">
    <el-input v-model="text" :aria-label="label" :placeholder="placeholder" @keydown.stop />
    <el-button native-type="submit">{{ give }}</el-button>
  </form>
</template>

<style scoped>
form {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}

.el-button {
  flex: none;
}
</style>
