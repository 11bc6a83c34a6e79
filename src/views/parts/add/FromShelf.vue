<script setup lang="ts">
import { targetOf } from '../../../components/events'
import { present } from '../../../core/sure'
import { produce } from 'immer'
import { computed, ref } from 'vue'
import { changeText, hundred } from '../../../core/say/figureText'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { ReactionId } from '../../../core/chart/ids'
import { couldAdd, couldAnswer } from '../../../core/shelf/additions'
import { pullIn } from '../../../core/shelf/edits/pull'
import { useFigures } from '../../../stores/figures'
import { useShelf } from '../../../stores/shelf'
import { useTrials } from '../../../stores/trials'
import { usePulling } from '../shelf/pulling'
import { useWorksheet } from '../inspectors/sheet'
import { t } from '../../../words/add'

/**
 * What the Shelf knows for this position and for what they do here, best first by what it would add; one press brings
 * it in.
 */
/** With a reaction: only what answers it. */
const props = defineProps<{ reaction?: ReactionId | undefined }>()
const { chart, position } = useWorksheet()
const figures = useFigures()
const store = useShelf()
const { pull } = usePulling()
const isOpen = ref(false)
/** So many are tried out: each is a solve. */
const MAX_ENTRIES = 16
/** A move into a position that is new to the chart brings what leads on from there. */
const ONWARD = 2

const additions = computed(() => {
  const { shelf } = store
  if (!shelf || !isOpen.value || !position.value) return []
  const at = position.value.id
  const here = props.reaction ? [] : couldAdd(chart.value, shelf, at).map((move) => ({ move, to: '' }))
  const met = props.reaction
    ? [props.reaction]
    : new Set(
        chart.value.moves.filter(({ from }) => from === at).flatMap(({ tries }) => Object.keys(tries?.reactions ?? {})),
      )
  const answers = [...met].flatMap((reaction) =>
    couldAnswer(chart.value, shelf, reaction).map((move) => ({
      move,
      to: lookUp(chart.value.reactions, reaction)?.name ?? '',
    })),
  )
  const seen = new Set<string>()
  return [...answers, ...here].filter(({ move }) => !seen.has(move.id) && seen.add(move.id)).slice(0, MAX_ENTRIES)
})

const worths = useTrials(
  () => {
    const withMove = (id: string): Chart =>
      produce(chart.value, (draft) => void pullIn(draft, present(store.shelf), { moves: [id], onward: ONWARD }))
    const trials = additions.value.map(({ move }) => ({ key: move.id, chart: withMove(move.id) }))
    return position.value ? { chart: chart.value, position: position.value.id, trials } : null
  },
  () => isOpen.value && store.shelf,
)

/** All have been tried out: only then are they put in order, so that nothing moves away from under a hand. */
const isTried = computed(() => additions.value.every(({ move }) => worths.has(move.id)))
const rows = computed(() => {
  const now = figures.figures
  const here = now?.positions[present(position.value).id]?.value
  const list = additions.value.map(({ move, to }) => {
    const worth = worths.get(move.id)
    const known = worth && now && here !== undefined
    const tried = worth?.moves[move.id] ?? null
    return {
      move,
      to,
      tried,
      gain: known ? worth.start - now.value : null,
      here: known ? worth.position - here : null,
    }
  })
  return isTried.value ? list.sort((a, b) => rank(b) - rank(a)) : list
})
/** By what the start gains, then the position, then by what it is worth when it is tried here. */
const rank = (row: { gain: number | null; here: number | null; tried: number | null }) =>
  (row.gain ?? 0) * 1e4 + (row.here ?? 0) * 1e2 + (row.tried ?? -1)

function toggle(event: Event) {
  isOpen.value = targetOf(event, HTMLDetailsElement).open
  if (isOpen.value) void store.load()
}
</script>

<template>
  <details class="panel shelf" @toggle="toggle">
    <summary>
      {{ reaction ? t('add.whatCouldIAnswer') : t('add.whatCouldIAddHere') }}
      <span class="muted small">{{ t('add.fromTheShelf') }}</span>
    </summary>
    <template v-if="store.shelf">
      <p v-if="!rows.length" class="muted small">
        {{ t('add.theShelfKnowsNothingMoreFor') }}
      </p>
      <ul v-else>
        <li v-for="{ move, to, tried, gain, here } in rows" :key="move.id">
          <div>
            <RouterLink :to="{ path: '/shelf', query: { at: `move ${move.id}` } }" class="name">{{
              move.name
            }}</RouterLink>
            <span class="muted small">
              <template v-if="to">&nbsp;{{ t('add.answersTo', { to }) }}</template>
              <template v-if="move.cue">&nbsp;{{ to ? '·' : '' }} {{ move.cue }}</template>
              <template v-if="move.check">&nbsp;{{ t('add.checkWithYourCoach') }}</template>
            </span>
          </div>
          <span v-if="tried !== null" class="muted small" :data-tip="t('add.whatItIsWorthTriedHere')">{{
            t('add.worthTriedWhenTried', { tried: hundred(tried) })
          }}</span>
          <b v-if="here !== null && here >= 0.0005" :data-tip="t('add.whatThisPositionWouldBeWorth')">{{
            t('add.hereHere', { here: changeText(here) })
          }}</b>
          <b v-if="gain !== null" :data-tip="t('add.whatTheStartWouldBeWorth')">{{ changeText(gain) }}</b>
          <el-button
            text
            :aria-label="t('add.bringInMove', { move: move.name })"
            @click="pull(move.name, { moves: [move.id], onward: ONWARD })"
          >
            {{ t('add.bringIn') }}
          </el-button>
        </li>
      </ul>
      <p v-if="rows.length && !isTried" class="muted small">
        {{ t('add.tryingThemOutNOfN2', { n: worths.size, n2: rows.length }) }}
      </p>
      <p v-else-if="rows.length" class="muted small">
        {{ t('add.entriesItsTriesAreGuessesWhat', { entries: t('count.entry', rows.length) }) }}
      </p>
    </template>
  </details>
</template>

<style scoped>
.shelf {
  padding: var(--space-12) var(--space-16);
}

summary {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  cursor: pointer;
}

li {
  display: flex;
  gap: var(--space-12);
  align-items: center;
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

li > div {
  flex: 1;
  min-width: 0;
}

.name {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

b {
  font: var(--weight-strong) var(--type-body) / 1.2 var(--label);
  white-space: nowrap;
}
</style>
