<script setup lang="ts">
import { valueOf } from './events'
import type { Probe, ProbeFactors } from '../core/chart/probe'
import SteadyInput from './SteadyInput.vue'
import { t } from '../words'

/** How tries go when a move is only shown: how many times as many of each. An empty field means what `usual` says. */
const props = defineProps<{ probe: Probe | undefined; usual: ProbeFactors }>()
const emit = defineEmits<{ change: [probe: Probe]; refuse: [reason: string] }>()

const FIELDS: { key: keyof ProbeFactors; says: string }[] = [
  { key: 'lands', says: t('common.lands') },
  { key: 'stalls', says: t('marks.comesToNothing') },
  { key: 'reactions', says: t('marks.theyReact') },
]

function set(key: keyof ProbeFactors, event: Event) {
  const text = valueOf(event).replace(',', '.').trim()
  const factor = Number(text)
  if (text && !(factor >= 0 && factor <= 10)) return void emit('refuse', t('marks.aFactorFrom0To10'))
  emit('change', { ...props.probe, [key]: text ? factor : undefined })
}
</script>

<template>
  <div class="factors">
    <label v-for="{ key, says } in FIELDS" :key="key">
      <span class="label">{{ says }}</span>
      <span class="times"
        >×
        <SteadyInput
          inputmode="decimal"
          :value="probe?.[key]"
          :placeholder="String(usual[key])"
          :aria-label="t('marks.onlyShownSaysTimes', { says })"
          @change="set(key, $event)"
      /></span>
    </label>
  </div>
</template>

<style scoped>
.factors {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
}

label {
  display: grid;
  gap: var(--space-4);
}

.times {
  display: flex;
  align-items: center;
  gap: var(--space-4);
}

.el-input {
  width: 58px;
  min-height: var(--control);
}
</style>
