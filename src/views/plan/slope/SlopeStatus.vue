<script setup lang="ts">
import { computed } from 'vue'
import { itemKey, type Item } from '../../../core/slope/items'
import { sayItem } from '../../../core/say/slopeItem'
import { useFigures } from '../../../stores/figures'
import { useSlope } from './slope'
import { t } from '../../../words/slope'

/** Says which item of the Slope has the focus. A live region: a screen reader announces each step. */
const props = defineProps<{ hovered: Item | undefined }>()
const emit = defineEmits<{ open: [] }>()
const { chart, at, selection } = useSlope()
const store = useFigures()
/** The item under the pointer, shown beside the keys; screen readers do not announce it. */
const told = computed(() => {
  const { hovered } = props
  const isOther = hovered && (!at.value || itemKey(hovered) !== itemKey(at.value))
  return isOther ? sayItem(chart.value, store.figures, hovered) : keys.value
})
const said = computed(() => (at.value ? sayItem(chart.value, store.figures, at.value) : ''))

const KEYS = {
  place: t('slope.intoItsMovesNSayA'),
  move: t('slope.whatTheyDoLWhereIt'),
  escape: t('slope.ourAnswerAAddAnAnswer'),
  answer: t('slope.whereItLandsDeleteTakesIt'),
}
const keys = computed(() => (at.value ? KEYS[at.value.kind] : t('slope.pressToWalkTheChainFrom')))
</script>

<template>
  <div class="status">
    <p role="status" aria-live="polite" data-test="said">
      <template v-if="selection.size > 1">{{ t('slope.nPositionsSelected', { n: selection.size }) }}&nbsp;</template
      >{{ said }}
    </p>
    <p class="muted small">{{ told }}</p>
    <el-button v-if="at" text @click="emit('open')">{{ t('common.worksheet') }}</el-button>
  </div>
</template>

<style scoped>
.status {
  display: flex;
  gap: var(--space-16);
  align-items: center;
  height: 52px;
  padding: var(--space-4) var(--space-16);
  font-size: var(--type-body);
  line-height: 1.25;
  overflow: hidden;
  border-top: 1px solid var(--line);
  background: var(--panel);
}

p:first-child {
  flex: 1;
}

p.small {
  max-width: 46%;
  text-align: right;
}

@media (width < 1000px) {
  p.small {
    display: none;
  }
}

.el-button {
  flex: none;
}
</style>
