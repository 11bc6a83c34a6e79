<script setup lang="ts" generic="Value extends string | number">
import { computed } from 'vue'
import type { Option } from './options'

/** One of a list. A long list is searched by typing, and only what is seen of it is drawn. */
const props = defineProps<{ value?: Value | undefined; options: readonly Option<Value>[] }>()
const emit = defineEmits<{ change: [value: Value] }>()
/** From how many on a list is searched rather than read. */
const MANY = 12
/** The library asks for a list that it could change. */
const options = computed(() => [...props.options])
</script>

<template>
  <el-select-v2
    :model-value="value"
    :options="options"
    :filterable="options.length > MANY"
    :empty-values="[null, undefined]"
    @update:model-value="(picked: Value) => emit('change', picked)"
  />
</template>
