<script setup lang="ts">
import { nextTick, ref } from 'vue'
import NotationInput from '../../../components/NotationInput.vue'
import { completeFork } from '../../../core/notation/complete'
import { present } from '../../../core/sure'
import { useWorksheet } from '../inspectors/sheet'
import NearMiss from './NearMiss.vue'
import { useNearMiss } from './nearMiss'
import { previewStill } from './preview'
import { useHalfTyped, useSaying } from './saying'
import { t } from '../../../words/add'

/** What they do while we hold still, said in a line with our answer: no move of ours is needed for it. */
const { chart, position } = useWorksheet()
const { error, sayTheirs } = useSaying()
const text = useHalfTyped('theirs')
const field = ref<InstanceType<typeof NotationInput>>()
/** Read by the completion as a move of ours that meets them. */
const BEFORE = 'x: '

function complete(line: string, caret: number) {
  const { from, options } = completeFork(chart.value, present(position.value).id, BEFORE + line, caret + BEFORE.length)
  const offered = options.filter(({ kind, insert }) => kind !== 'word' || insert === 'finish')
  return { from: from - BEFORE.length, options: offered }
}

const missesIn = (typed: string) => previewStill(chart.value, present(position.value).id, typed).near
const { asking, asks, meant, isNew } = useNearMiss(text, missesIn, onSay)

function onTyped(typed: string) {
  text.value = typed
  error.value = null
  asking.value = null
}

async function onSay(typed: string) {
  text.value = typed
  if (!typed.trim()) return
  if (asks(typed) || !sayTheirs(typed)) return
  text.value = ''
  await nextTick()
  field.value?.focus()
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="here">
    <NotationInput
      ref="field"
      :value="text"
      :label="t('add.fromHereThey')"
      :placeholder="t('add.fromHereThey3PushThe')"
      :error="error"
      :complete="complete"
      @say="onSay"
      @cancel="onTyped('')"
      @typed="onTyped"
    />
    <NearMiss v-if="asking" :key="asking.said" :miss="asking" @meant="meant(asking)" @fresh="isNew(asking)" />
  </div>
</template>

<style scoped>
.here {
  display: grid;
  gap: var(--space-8);
  padding: var(--space-8) 0 var(--space-4);
}
</style>
