<script setup lang="ts">
import Fuse from 'fuse.js'
import { computed, nextTick, onMounted, ref } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { familyName } from '../../../core/chart/placeNames'
import { placeName } from '../../../core/say/slopeItem'
import AddAnswer from '../../parts/add/AddAnswer.vue'
import AddReaction from '../../parts/add/AddReaction.vue'
import SayMoves from '../../parts/add/SayMoves.vue'
import { useSlope } from './slope'
import type { Asking } from './slopeEdits'
import { t } from '../../../words/slope'

/** What is being asked for, beside where it will be: a name, a landing, an answer, or a move in a line. */
const props = defineProps<{ asking: Asking; name: string }>()
const emit = defineEmits<{ named: [name: string]; landing: [to: string]; close: [] }>()
const { chart } = useSlope()

const typed = ref(props.asking.for === 'rename' ? props.name : '')
const field = ref<{ select: () => void }>()
const root = ref<HTMLElement>()
const item = computed(() => props.asking.item)
const reaction = computed(() =>
  item.value?.kind === 'escape' ? lookUp(chart.value.reactions, item.value.reaction) : undefined,
)
const move = computed(() => (item.value?.kind === 'move' ? lookUp(chart.value.moves, item.value.move) : undefined))
const isAnswer = computed(() => item.value?.kind === 'escape')
const label = computed(() => {
  const { asking } = props
  if (asking.for === 'rename') return t('slope.newNameOfName', { name: props.name })
  if (asking.for === 'position') return t('slope.nameOfTheNewPosition')
  const to = 'to' in asking && asking.to ? t('slope.intoTo', { to: placeName(chart.value, asking.to) }) : ''
  return isAnswer.value ? t('slope.nameOfOurAnswerTo', { to }) : t('slope.nameOfTheMoveTo', { to })
})

const fuse = computed(
  () => new Fuse(chart.value.positions, { keys: ['name', 'aliases'], threshold: 0.3, ignoreLocation: true }),
)
function findLanding(text: string): Choice[] {
  const found = text.trim() ? fuse.value.search(text, { limit: 8 }).map((hit) => hit.item) : chart.value.positions
  const places = found.map(({ id, name, family }): Choice => ({ key: id, value: name, id, hint: familyName(family) }))
  const finish: Choice = { key: 'finish', value: t('slope.aFinish'), id: 'finish', hint: t('slope.endsIt') }
  return !text.trim() || 'a finish'.includes(text.trim().toLowerCase()) ? [finish, ...places] : places
}

function onKey(event: KeyboardEvent) {
  event.stopPropagation()
  if (event.key === 'Enter' && typed.value.trim()) emit('named', typed.value.trim())
  else if (event.key === 'Escape') emit('close')
  else return
  event.preventDefault()
}

onMounted(async () => {
  await nextTick()
  if (field.value) field.value.select()
  else if (props.asking.for === 'say') root.value?.querySelector('textarea')?.focus()
})
</script>

<template>
  <div ref="root" class="prompt panel" :class="asking.for" @keydown.esc="emit('close')">
    <AddAnswer v-if="asking.for === 'answer' && reaction" :reaction="reaction" @close="emit('close')" />
    <AddReaction v-else-if="asking.for === 'reaction' && move" open :move="move" @close="emit('close')" />
    <SayMoves v-else-if="asking.for === 'say'" @said="emit('close')" @cancel="emit('close')" />
    <ComboList
      v-else-if="asking.for === 'landing'"
      :label="isAnswer ? t('slope.whereDoesOurAnswerLand') : t('slope.whereDoesItLand')"
      :find="findLanding"
      @pick="({ id }) => emit('landing', id!)"
      @cancel="emit('close')"
    />
    <el-input
      v-else
      ref="field"
      v-model="typed"
      :aria-label="label"
      :placeholder="label"
      maxlength="200"
      @keydown="onKey"
    />
  </div>
</template>

<style scoped>
.prompt {
  position: absolute;
  z-index: 20;
  width: 320px;
  padding: var(--space-8);
  box-shadow: var(--shadow);
}

.prompt.say {
  width: 560px;
  padding: 0;
}
</style>
