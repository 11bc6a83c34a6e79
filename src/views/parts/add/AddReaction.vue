<script setup lang="ts">
import { toReactionId, type ReactionId } from '../../../core/chart/ids'
import Fuse from 'fuse.js'
import { computed, nextTick, ref } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { addReaction, meetReaction } from '../../../core/chart/edits/records'
import type { Move } from '../../../core/chart/move'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../inspectors/sheet'
import { t } from '../../../words/add'

/** Has a move meet a reaction: one that is charted already, or a new one. */
const props = defineProps<{ move: Move; open?: boolean }>()
const emit = defineEmits<{ close: [] }>()
const { chart, nameOf, select } = useWorksheet()
const charts = useCharts()
const isPicking = ref(props.open)
const candidates = computed(() =>
  chart.value.reactions.filter(({ id }) => props.move.tries?.reactions?.[id] === undefined),
)
const fuse = computed(
  () => new Fuse(candidates.value, { keys: ['name', 'aliases'], threshold: 0.3, ignoreLocation: true }),
)

function find(text: string): Choice[] {
  const typed = text.trim()
  const found = typed ? fuse.value.search(typed, { limit: 7 }).map(({ item }) => item) : candidates.value.slice(0, 7)
  const choices = found.map(({ id, name, endsIn }): Choice => ({
    key: id,
    value: name,
    id,
    hint: t('common.intoEndsIn', { endsIn: nameOf(endsIn) }),
  }))
  return typed ? [{ key: 'new', value: typed, id: null, hint: t('add.newReaction') }, ...choices] : choices
}

async function pick({ id, value }: Choice) {
  const { move } = props
  let reaction: ReactionId | undefined = id === null ? undefined : toReactionId(id)
  charts.edit(t('add.moveMeetsValue', { move: move.name, value }), (draft) => {
    if (reaction) meetReaction(draft, move.id, reaction)
    else reaction = addReaction(draft, move.id, value, move.from)
  })
  close()
  select(move.id, reaction)
  await nextTick()
  document.querySelector<HTMLElement>(`[data-row="${move.id} ${reaction ?? ''}"]`)?.focus()
}

function close() {
  isPicking.value = false
  emit('close')
}
</script>

<template>
  <div class="more">
    <ComboList
      v-if="isPicking"
      floating
      :label="t('add.whatDoTheyDoAboutMove', { move: move.name })"
      :find="find"
      @pick="pick"
      @cancel="close"
    />
    <el-button v-else text :aria-label="t('add.aReactionToMove', { move: move.name })" @click="isPicking = true">
      {{ t('common.whatTheyDo') }}
    </el-button>
  </div>
</template>

<style scoped>
.more {
  padding-top: var(--space-4);
}

.more .el-button {
  min-height: max(24px, var(--target));
  padding: 0 var(--space-8);
  font-size: var(--type-small);
  margin-left: calc(-1 * var(--space-8));
}
</style>
