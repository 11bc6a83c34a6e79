<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue'
import { changeText, costText, finer, hundred, signed, timesShort } from '../../../core/say/figureText'
import NetMark from '../../../components/NetMark.vue'
import { NOTEWORTHY } from '../../../core/insight/nets'
import { useFigures } from '../../../stores/figures'
import { useAsking } from './ask'
import type { Asked } from '../../../core/say/explanation'
import { t } from '../../../words'

/** A figure that opens to what it is made of, and shows for a moment that it has changed. */
const props = defineProps<{
  value: number | null | undefined
  asked: Asked
  label: string
  form?: 'value' | 'net' | 'cost' | 'times' | 'gain'
}>()

const { ask, anchor } = useAsking()
const figures = useFigures()
const button = ref<HTMLButtonElement>()
const text = computed(() => {
  const value = props.value ?? 0
  if (props.form === 'net') return signed(value)
  if (props.form === 'cost') return costText(value)
  if (props.form === 'gain') return changeText(value)
  return props.form === 'times' ? timesShort(value) : hundred(value)
})
const moved = ref<'up' | 'down' | null>(null)
let timer: ReturnType<typeof setTimeout> | undefined

watch(
  () => props.value,
  (now, before) => {
    if (typeof now !== 'number' || typeof before !== 'number' || Math.abs(now - before) < 5e-5) return
    moved.value = now > before ? 'up' : 'down'
    clearTimeout(timer)
    timer = setTimeout(() => (moved.value = null), 1600)
  },
)
onUnmounted(() => clearTimeout(timer))
</script>

<template>
  <button
    v-if="typeof value === 'number'"
    ref="button"
    type="button"
    class="plain figure"
    :class="[moved, { stale: figures.stale }]"
    :aria-expanded="anchor === button"
    :aria-label="t('figures.whatIsItMadeOf', { label, text })"
    :data-tip="t('common.labelled', { label, value: finer(value) })"
    @click="ask(asked, button!)"
  >
    <NetMark v-if="form === 'net'" :net="value" :noteworthy="NOTEWORTHY" />
    <span v-else class="number">{{ text }}</span>
  </button>
  <span v-else class="muted" :data-tip="t('figures.labelCannotBeTriedFromHere', { label })">–</span>
</template>

<style scoped>
.figure {
  border-radius: var(--corner);
  padding: 0 var(--space-4);
  min-width: 28px;
  text-align: right;
  transition: background-color 0.5s;
}

.figure:hover {
  background: color-mix(in srgb, var(--line) 60%, transparent);
}

.figure.up,
.figure.down {
  background: var(--moved);
}
</style>
