<script setup lang="ts">
import { isEndId, toMoveId, type MoveId } from '../../../core/chart/ids'
import Fuse from 'fuse.js'
import { computed } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { hundred } from '../../../core/say/figureText'
import { addAnswer, addNewAnswer } from '../../../core/chart/edits/answers'
import { NEW_ANSWER } from '../../../core/chart/guesses'
import type { Reaction } from '../../../core/chart/reaction'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useWorksheet } from '../inspectors/sheet'
import { t } from '../../../words/add'

/** Picks the answer to a reaction: first what can be done from where it ends, best first. */
const props = defineProps<{ reaction: Reaction }>()
const emit = defineEmits<{ close: [] }>()
const { chart, nameOf } = useWorksheet()
const charts = useCharts()
const store = useFigures()

const candidates = computed(() => {
  const taken = new Set(
    chart.value.answers.filter(({ reaction }) => reaction === props.reaction.id).map(({ move }) => move),
  )
  const worth = (id: MoveId) => store.figures?.moves[id]?.value ?? -Infinity
  const free = chart.value.moves.filter(({ id }) => !taken.has(id)).sort((a, b) => worth(b.id) - worth(a.id))
  const here = free.filter(({ from }) => from === props.reaction.endsIn)
  return [...here, ...free.filter(({ from }) => from !== props.reaction.endsIn)]
})
const fuse = computed(
  () => new Fuse(candidates.value, { keys: ['name', 'aliases'], threshold: 0.3, ignoreLocation: true }),
)

function find(text: string): Choice[] {
  const typed = text.trim()
  const moves = typed ? fuse.value.search(typed).map(({ item }) => item) : candidates.value
  const ranked = [...moves].sort(
    (a, b) => Number(b.from === props.reaction.endsIn) - Number(a.from === props.reaction.endsIn),
  )
  const choices = ranked.slice(0, 8).map(({ id, name, from }): Choice => {
    const value = store.figures?.moves[id]?.value
    return {
      key: id,
      value: name,
      id,
      hint: t('add.fromFromRest', { from: nameOf(from), rest: typeof value === 'number' ? `, ${hundred(value)}` : '' }),
    }
  })
  const isNew =
    typed &&
    !isEndId(props.reaction.endsIn) &&
    !choices.some(({ value }) => value.toLowerCase() === typed.toLowerCase())
  return isNew
    ? [
        ...choices,
        {
          key: 'new',
          value: typed,
          id: null,
          hint: t('add.newMoveFromEndsIn', { endsIn: nameOf(props.reaction.endsIn) }),
        },
      ]
    : choices
}

function pick({ id, value }: Choice) {
  const { reaction } = props
  charts.edit(t('common.answerReactionWithValue', { reaction: reaction.name, value }), (draft) => {
    if (id) addAnswer(draft, reaction.id, toMoveId(id), { ...NEW_ANSWER })
    else if (!isEndId(reaction.endsIn)) addNewAnswer(draft, reaction.id, value, reaction.endsIn)
  })
  emit('close')
}
</script>

<template>
  <ComboList
    floating
    :label="t('add.answerToReaction', { reaction: reaction.name })"
    :find="find"
    @pick="pick"
    @cancel="emit('close')"
  />
</template>
