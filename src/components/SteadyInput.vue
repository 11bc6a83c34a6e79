<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'

/**
 * A field that keeps what is being typed while the screen is drawn anew, and shows the value again once it was taken or
 * refused.
 */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ value: string | number | undefined }>()
const textOf = () => String(props.value ?? '')
const text = ref<string | number>(textOf())
watch(
  () => props.value,
  () => (text.value = textOf()),
)

async function settle() {
  await nextTick()
  text.value = textOf()
}
</script>

<template>
  <input v-model="text" v-bind="$attrs" @change="settle" />
</template>
