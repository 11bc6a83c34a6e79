<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'

/**
 * A field that keeps what is being typed while the screen is drawn anew, and shows the value again once it was taken or
 * refused.
 */
const props = defineProps<{ value: string | number | undefined }>()
const emit = defineEmits<{ change: [event: Event] }>()
const textOf = () => String(props.value ?? '')
const text = ref(textOf())
watch(
  () => props.value,
  () => (text.value = textOf()),
)

async function settle(event?: Event) {
  if (event) emit('change', event)
  await nextTick()
  text.value = textOf()
}
</script>

<template>
  <el-input v-model="text" @change="(_typed: string, event?: Event) => settle(event)" />
</template>
