<script setup lang="ts">
import { computed, nextTick, ref } from 'vue'
import NotationInput from '../../../components/NotationInput.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { finishesByName } from '../../../core/chart/fromName'
import { completeFork } from '../../../core/notation/complete'
import { present } from '../../../core/sure'
import WhoIsAhead from '../inspectors/WhoIsAhead.vue'
import { useWorksheet } from '../inspectors/sheet'
import NearMiss from './NearMiss.vue'
import { useNearMiss } from './nearMiss'
import { previewOf, usePreview } from './preview'
import SayPreview from './SayPreview.vue'
import { useHalfTyped, useSaying } from './saying'
import { t } from '../../../words/add'

/** New moves said in lines; a whole position may be pasted. What would come of a line is drawn while it is typed. */
const emit = defineEmits<{ said: []; cancel: [] }>()
const { chart, position } = useWorksheet()
const { error, born, say } = useSaying()
const text = useHalfTyped('ours')
const preview = usePreview(text)
const field = ref<InstanceType<typeof NotationInput>>()
const newPositions = computed(() => born.value.flatMap((id) => lookUp(chart.value.positions, id) ?? []))
const isBegun = computed(() => text.value.trim() !== '')

const missesIn = (typed: string) => previewOf(chart.value, present(position.value).id, typed).near
const { asking, asks, meant, isNew } = useNearMiss(text, missesIn, onSay)

function onTyped(typed: string) {
  text.value = typed
  error.value = null
  asking.value = null
}

async function onSay(typed: string) {
  text.value = typed
  if (isBareName(typed)) return void field.value?.replace(`${typed.trim()}${leads(typed) ? ' ' : ' ('}`)
  if (asks(typed) || !say(typed)) return
  text.value = ''
  await nextTick()
  field.value?.focus()
  emit('said')
}

/** A name alone makes no move yet: its tries are asked for, or where it leads. */
const isBareName = (typed: string) => /^[^\d:;>()[\]\n]+$/.test(typed.trim())
const leads = (name: string) =>
  finishesByName(name) ||
  chart.value.moves.some(
    (move) => move.from === position.value?.id && move.name.toLowerCase() === name.trim().toLowerCase(),
  )

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <section class="panel said" :aria-label="t('add.sayAMove')">
    <h2>{{ t('add.sayAMove') }} <span class="kbd">N</span></h2>
    <NotationInput
      ref="field"
      :value="text"
      :label="t('common.sayAMoveInALine')"
      :placeholder="t('add.armbar3Of104Turns')"
      :error="error"
      :complete="(line, caret) => completeFork(chart, position!.id, line, caret)"
      @say="onSay"
      @cancel="emit('cancel')"
      @typed="onTyped"
    />
    <p v-if="isBegun" class="parts">
      <el-button text @click="field?.insert('; 3 ')">{{ t('common.whatTheyDo') }}</el-button>
      <el-button text @click="field?.insert(' > ')">{{ t('common.answer') }}</el-button>
      <el-button @click="onSay(text)">{{ t('add.sayIt') }}</el-button>
    </p>
    <NearMiss v-if="asking" :key="asking.said" :miss="asking" @meant="meant(asking)" @fresh="isNew(asking)" />
    <SayPreview v-if="isBegun && preview?.strips.length" :preview="preview" />
    <p v-else-if="isBegun && preview?.errors.length && !error" class="muted small">{{ preview.errors[0]!.message }}</p>
    <WhoIsAhead v-for="one in newPositions" :key="one.id" :position="one" named />
    <p v-if="!isBegun" class="muted small">
      {{ t('add.theMoveAndWhereItLeads') }}
    </p>
  </section>
</template>

<style scoped>
.said {
  display: grid;
  gap: var(--space-8);
  padding: var(--space-12) var(--space-16);
}

.parts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}
</style>
