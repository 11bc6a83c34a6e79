<script setup lang="ts">
import { ref } from 'vue'
import NotationInput from '../../../components/NotationInput.vue'
import { completeFork } from '../../../core/notation/complete'
import { useSaying } from './saying'
import { useWorksheet } from '../inspectors/sheet'

/** New moves said in lines; a whole position may be pasted. */
const emit = defineEmits<{ said: []; cancel: [] }>()
const { chart, position } = useWorksheet()
const { error, say } = useSaying()
const field = ref<{ focus: () => void; clear: () => void }>()

function onSay(text: string) {
  if (!say(text)) return
  field.value?.clear()
  emit('said')
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <section class="panel said" aria-label="Say a move">
    <h2>Say a move <span class="kbd">N</span></h2>
    <NotationInput
      ref="field"
      value=""
      label="Say a move in a line"
      placeholder="Armbar (finish): 3 land; 4 turns in (turtle) > take the back 6 of 10; 1 stacks > ?"
      :error="error"
      :complete="(line, caret) => completeFork(chart, position!.id, line, caret)"
      @say="onSay"
      @cancel="emit('cancel')"
      @typed="error = null"
    />
    <p class="muted small">
      The move and (where it leads): how many of ten land; how many times they do what (where it ends) &gt; our answer,
      with tries of its own, or ? for none; how many come to nothing. Enter says it; paste several lines for a whole
      position.
    </p>
  </section>
</template>

<style scoped>
.said {
  display: grid;
  gap: 6px;
  padding: 12px 16px;
}
</style>
