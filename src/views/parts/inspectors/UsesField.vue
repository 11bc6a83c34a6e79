<script setup lang="ts">
import { computed } from 'vue'
import { CAPABILITY_IDS, capabilityWords } from '../../../core/holds/limbWords'
import { t } from '../../../words/inspector'

/** What one must be able to do for it: holds of the other that take one of these away hinder it. */
const props = withDefaults(defineProps<{ uses: readonly string[]; who?: string }>(), { who: t('common.they') })
const emit = defineEmits<{ change: [uses: string[]] }>()
const all = computed(() => [...new Set([...CAPABILITY_IDS, ...props.uses])])

function toggle(capability: string) {
  const { uses } = props
  emit('change', uses.includes(capability) ? uses.filter((one) => one !== capability) : [...uses, capability])
}
</script>

<template>
  <details class="across">
    <summary class="label">
      {{ t('inspector.whoMust', { who }) }}
      <span>{{ uses.map(capabilityWords).join(', ') || t('inspector.nothingInParticular') }}</span>
    </summary>
    <el-checkbox
      v-for="capability in all"
      :key="capability"
      :model-value="uses.includes(capability) ?? false"
      @change="toggle(capability)"
    >
      {{ capabilityWords(capability) }}</el-checkbox
    >
  </details>
</template>

<style scoped>
summary span {
  color: var(--ink);
}

label {
  display: block;
  font-size: var(--type-body);
}
</style>
