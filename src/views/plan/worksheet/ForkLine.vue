<script setup lang="ts">
import { onMounted, ref } from 'vue'
import NotationInput from '../../../components/NotationInput.vue'
import type { Move } from '../../../core/chart/move'
import { completeFork } from '../../../core/notation/complete'
import { writeFork } from '../../../core/notation/writeFork'
import { useSaying } from '../../parts/add/saying'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

/** A move's fork as one line, to read and to change. */
const props = defineProps<{ move: Move }>()
const emit = defineEmits<{ close: [] }>()
const { chart, position } = useWorksheet()
const { error, say } = useSaying()
const field = ref<{ focus: () => void }>()
onMounted(() => field.value?.focus())

function onSay(text: string) {
  if (say(text)) emit('close')
}
</script>

<template>
  <div class="line">
    <NotationInput
      ref="field"
      :value="writeFork(chart, props.move)"
      :label="t('worksheet.moveAsALine', { move: move.name })"
      :error="error"
      :complete="(line, caret) => completeFork(chart, position!.id, line, caret)"
      @say="onSay"
      @cancel="emit('close')"
      @typed="error = null"
    />
    <p class="muted small">{{ t('worksheet.enterSaysItEscapeLeavesIt') }}</p>
  </div>
</template>

<style scoped>
.line {
  margin: var(--space-8) 0;
}
</style>
