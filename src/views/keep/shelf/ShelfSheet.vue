<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { Found } from '../../../core/shelf/search'
import { needsOf } from '../../../core/shelf/needs'
import { wantedOfRegion } from '../../../core/shelf/edits/pull'
import type { Shelf } from '../../../core/shelf/shelf'
import { keptFrom } from '../../../core/chart/rules/ruleSets'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import OwnShelf from './OwnShelf.vue'
import RegionList from './RegionList.vue'
import RegionTalk from './RegionTalk.vue'
import ShelfEntry from './ShelfEntry.vue'
import ShelfUpdates from './ShelfUpdates.vue'
import { foundOf, keyOf, usePulling, useShelfPlace } from '../../parts/shelf/pulling'
import { t } from '../../../words'

/**
 * The library: browsed by region and by what is attacked, or searched by what one sees; each entry in detail beside it.
 */
const props = defineProps<{ shelf: Shelf }>()
const store = useShelf()
const charts = useCharts()
const { place, go } = useShelfPlace()
const { pull, isThere } = usePulling()
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
const isOwn = computed(() => store.own.some(({ id }) => id === region.value?.id))
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
    const hint = move
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
const at = computed(() => foundOf(place.value.at) ?? null)
</script>

<template>
  <div class="shelf">
    <RegionList class="regions" :shelf="shelf" />
    <section class="list" :aria-label="t('shelf.onTheShelf')">
      <header>
        <h1>{{ region?.title ?? t('shelf.theShelf') }}</h1>
        <el-button
          v-if="region && charts.chart"
          type="primary"
          @click="pull(region.title, wantedOfRegion(shelf, region.id))"
        >
          {{ t('shelf.bringAllOfItIntoThe') }}
        </el-button>
      </header>
      <OwnShelf v-if="region && isOwn" :region="region" @gone="go({ region: '', at: '' })" />
      <ShelfUpdates :shelf="shelf" />
      <p class="muted small">
        {{ t('shelf.triesOnTheShelfAreGuesses') }}
      </p>
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
          <button type="button" class="plain row" @click="go({ at: row.key })">
            <span class="name" :class="[row.kind, { finish: row.isFinish, theirs: row.isTheirs }]">{{ row.name }}</span>
            <span class="muted small"
              >{{ row.hint }}<template v-if="row.there">&nbsp;{{ t('shelf.inTheChart2') }}</template></span
            >
          </button>
        </li>
      </ul>
      <p v-if="!rows.length" class="muted">
        {{ t('shelf.nothingOnTheShelfSoundsLike') }}
      </p>
      <p v-else-if="found.length > MAX_ENTRIES" class="muted small">
        {{ t('shelf.andNMoreSearchOrChoose', { n: found.length - MAX_ENTRIES }) }}
      </p>
    </section>
    <aside :aria-label="t('common.aboutIt')">
      <ShelfEntry v-if="at" :key="place.at" :shelf="shelf" :found="at" @open="go({ at: keyOf($event) })" />
      <RegionTalk v-else-if="region" :shelf="shelf" :region="region" @open="go({ at: keyOf($event) })" />
      <p v-else class="muted">{{ t('shelf.chooseAnEntryOrARegion') }}</p>
    </aside>
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) minmax(320px, 420px);
  height: 100%;
}

.list,
aside {
  padding: var(--space-16) var(--space-16) var(--space-32);
  overflow-y: auto;
}

header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: var(--space-12);
}

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

aside {
  border-left: 1px solid var(--line);
  background: var(--panel);
}

@media (width < 1100px) {
  .shelf {
    grid-template-columns: 180px minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) minmax(0, 1fr);
  }

  .regions {
    grid-row: 1 / -1;
  }

  aside {
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
