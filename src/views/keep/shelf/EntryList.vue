<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import RowButton from '../../../components/RowButton.vue'
import { lookUp } from '../../../core/chart/lookUp'
import { keptFrom } from '../../../core/chart/rules/ruleSets'
import { needsOf } from '../../../core/shelf/needs'
import type { Found } from '../../../core/shelf/search'
import type { Shelf } from '../../../core/shelf/shelf'
import { symptomMeant } from '../../../core/shelf/symptoms'
import { lowerFirst } from '../../../core/say/speech'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import { keyOf, usePulling, useShelfPlace } from '../../parts/shelf/pulling'
import { t } from '../../../words/shelf'

/** What is on the Shelf at the place where one looks: in a region, by what one sees, by what is attacked or needed. */
const props = defineProps<{ shelf: Shelf }>()
const store = useShelf()
const charts = useCharts()
const { place, go } = useShelfPlace()
const { isThere } = usePulling()
const MAX_ENTRIES = 60
const region = computed(() => lookUp(props.shelf.regions, place.value.region))

const everything = computed((): Found[] => {
  const { positions, moves, reactions } = region.value ?? props.shelf
  return [
    ...positions.map(({ id }): Found => ({ kind: 'position', id })),
    ...moves.map(({ id }): Found => ({ kind: 'move', id })),
    ...reactions.map(({ id }): Found => ({ kind: 'reaction', id })),
  ]
})
/** What this chart's group is protected from stays off the Shelf too. */
const kept = computed(() => keptFrom(charts.chart?.settings?.group, charts.chart?.settings?.shownBecause))
const isKept = ({ kind, id }: Found) =>
  kind === 'move' && lookUp(props.shelf.moves, id)?.tags?.some((tag) => kept.value.includes(tag))
const found = computed(() => candidates.value.filter((one) => !isKept(one)))
const hidden = computed(() => candidates.value.length - found.value.length)
const candidates = computed(() => {
  const all = place.value.text.trim() ? present(store.index).search(place.value.text) : everything.value
  const inRegion = region.value ? all.filter(({ id }) => props.shelf.regionOf.get(id) === region.value) : all
  const { attacks, needs } = place.value
  if (!attacks && !needs) return inRegion
  return inRegion.filter(({ kind, id }) => {
    const move = kind === 'move' ? lookUp(props.shelf.moves, id) : undefined
    if (!move || (needs && !needsOf(move).some((one) => one === needs))) return false
    return !attacks || (move.to === 'finish' && (attacks === 'any' || move.hazard?.part === attacks))
  })
})
const rows = computed(() =>
  found.value.slice(0, MAX_ENTRIES).map((one) => {
    const { kind, id } = one
    const move = kind === 'move' ? lookUp(props.shelf.moves, id) : undefined
    const record =
      move ?? present(kind === 'position' ? lookUp(props.shelf.positions, id) : lookUp(props.shelf.reactions, id))
    const wrong = move && place.value.text.trim() ? symptomMeant(move, place.value.text) : undefined
    const hint = wrong
      ? t('shelf.feltAtStepDoCure', { felt: wrong.felt, step: wrong.step, cure: lowerFirst(wrong.cure) })
      : move
        ? t('common.fromFrom', { from: lookUp(props.shelf.positions, move.from)?.name })
        : kind === 'reaction'
          ? t('shelf.theyDo')
          : (props.shelf.regionOf.get(id)?.title ?? '')
    return {
      ...one,
      key: keyOf(one),
      name: record.name,
      hint,
      isFinish: move?.to === 'finish',
      isTheirs: kind === 'position' && lookUp(props.shelf.positions, id)?.ahead === 'theirs',
      check: record.check,
      there: isThere(one),
    }
  }),
)
</script>

<template>
  <div>
    <p v-if="hidden" class="small kept">
      {{
        t('shelf.finishesNotForGroupHidden', {
          finishes: t('count.finish', hidden),
          group: charts.chart?.settings?.group,
        })
      }}
      <RouterLink to="/charts">{{ t('shelf.whoTrainsAndShowingThemWith') }}</RouterLink>
    </p>
    <ul>
      <li v-for="row in rows" :key="row.key" :class="{ here: row.key === place.at }">
        <RowButton class="row" @click="go({ at: row.key }, 'about')">
          <span class="name" :class="[row.kind, { finish: row.isFinish, theirs: row.isTheirs }]">{{ row.name }}</span>
          <span class="muted small"
            >{{ row.hint }}<template v-if="row.there">&nbsp;{{ t('shelf.inTheChart2') }}</template></span
          >
        </RowButton>
      </li>
    </ul>
    <p v-if="!rows.length" class="muted">
      {{ t('shelf.nothingOnTheShelfSoundsLike') }}
    </p>
    <p v-else-if="found.length > MAX_ENTRIES" class="muted small">
      {{ t('shelf.andNMoreSearchOrChoose', { n: found.length - MAX_ENTRIES }) }}
    </p>
  </div>
</template>

<style scoped>
.kept {
  color: var(--caution);
}

li {
  border-top: 1px solid var(--line);
}

li.here {
  background: var(--panel);
}

.row {
  display: grid;
  width: 100%;
  padding: var(--space-4) var(--space-8);
}

.row:hover {
  background: var(--panel);
}

.name {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

.name.position {
  border-bottom: 3px solid var(--line-ours);
  justify-self: start;
}

.name.theirs {
  border-color: var(--theirs);
}

.name.reaction {
  color: var(--theirs);
}

.name.finish {
  justify-self: start;
  padding: 0 var(--space-12);
  border-radius: var(--corner-panel);
  background: var(--ink);
  color: var(--panel);
}
</style>
