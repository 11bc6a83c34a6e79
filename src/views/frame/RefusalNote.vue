<script setup lang="ts">
import { useElementBounding, useEventListener, useWindowSize } from '@vueuse/core'
import { computed, nextTick, shallowRef, watch } from 'vue'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

/** Why an edit was refused, said at the field in which it was made. It goes with the next key. */
const charts = useCharts()
const field = shallowRef<HTMLElement | null>(null)
const reasons = computed(() => {
  const messages = charts.refused?.problems.map(({ message }) => message) ?? []
  return [...new Set(messages)].slice(0, 3)
})
const { left, bottom } = useElementBounding(field)
const { width } = useWindowSize()
/** Below the field, and never past the edge of the window. */
const place = computed(() =>
  field.value
    ? { left: `${Math.max(8, Math.min(left.value, width.value - 316))}px`, top: `${bottom.value + 4}px` }
    : { left: '50%', top: '60px' },
)
/** Where the coach did it: a field that is gone by now leaves the note at the top of the screen. */
let touched: HTMLElement | null = null
const FIELDS = 'input, select, textarea, button, [tabindex]'

useEventListener(document, ['change', 'keydown', 'click'], (event) => remember(event.target), { capture: true })
function remember(target: EventTarget | null) {
  if (target instanceof Element) touched = target.closest<HTMLElement>(FIELDS)
}

function clear() {
  field.value?.removeAttribute('aria-invalid')
  field.value?.removeAttribute('aria-describedby')
  field.value = null
}

watch(
  () => charts.refused,
  async (refused) => {
    clear()
    if (!refused) return
    await nextTick()
    field.value = touched?.isConnected ? touched : null
    field.value?.setAttribute('aria-invalid', 'true')
    field.value?.setAttribute('aria-describedby', 'refusal')
  },
)
const close = () => (charts.refused = null)
useEventListener(document, 'keydown', close)
</script>

<template>
  <p v-if="charts.refused" id="refusal" class="refusal off-paper" role="alert" :style="place">
    <b>{{ t('frame.notDone') }}</b> {{ reasons.join('; ') }}.
  </p>
</template>

<style scoped>
.refusal {
  position: fixed;
  z-index: 3000;
  width: max-content;
  max-width: 300px;
  padding: var(--space-8) var(--space-12);
  border: 2px solid var(--caution);
  border-radius: var(--corner);
  background: var(--raised);
  color: var(--ink);
  box-shadow: var(--shadow);
}
</style>
