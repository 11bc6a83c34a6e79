<script setup lang="ts">
import { Search } from '@element-plus/icons-vue'
import { useMediaQuery } from '@vueuse/core'
import Fuse from 'fuse.js'
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { hundred } from '../../core/say/figureText'
import { bandsOf, type Band } from '../../core/chart/bands'
import { addPosition, swapPositions } from '../../core/chart/edits/records'
import { alsoSaid } from '../../core/sides/vocabulary'
import type { Position } from '../../core/chart/position'
import type { PositionId } from '../../core/chart/ids'
import { positionFromName } from '../../core/chart/guesses'
import LongList from '../../components/LongList.vue'
import { useCharts } from '../../stores/charts'
import { useFigures } from '../../stores/figures'
import { useWorksheet } from './inspectors/sheet'
import { t } from '../../words'

/** The positions by band, with what each is worth; found by a few letters, made by naming one that is not there. */
const props = withDefaults(defineProps<{ screen?: 'worksheet' | 'holds' }>(), { screen: 'worksheet' })
const { chart, position } = useWorksheet()
const charts = useCharts()
const store = useFigures()
const router = useRouter()
const isByFinger = useMediaQuery('(pointer: coarse)')
const text = ref('')
const KEYS = [
  'name',
  'aliases',
  'family',
  { name: 'said', getFn: ({ name, aliases = [] }: Position) => [name, ...aliases].flatMap(alsoSaid) },
]
const field = ref<{ focus: () => void }>()
const list = ref<HTMLElement>()

const fuse = computed(() => new Fuse(chart.value.positions, { keys: KEYS, threshold: 0.35, ignoreLocation: true }))
const found = computed(() =>
  text.value.trim() ? fuse.value.search(text.value).map(({ item }) => item) : chart.value.positions,
)
/** A band's name, or one of its positions. */
interface Row {
  band: Band
  one?: Position
}
const rows = computed(() =>
  bands.value.flatMap((band): Row[] => [{ band }, ...band.positions.map((one) => ({ band, one }))]),
)
const keyOf = ({ band, one }: Row) => (one ? one.id : `band ${band.key}`)
const figures = computed(() => store.figures?.positions)
const bands = computed(() => bandsOf(found.value, charts.chart?.settings?.slope?.bands))
const loose = computed(() => new Set(store.figures?.looseEnds.map((end) => end.position) ?? []))

async function open(id: PositionId) {
  text.value = ''
  await router.push(`/${props.screen}/${id}`)
}

async function add(name: string) {
  let id: PositionId | undefined
  charts.edit(t('common.newPositionName', { name }), (draft) => (id = addPosition(draft, positionFromName(name))))
  if (id) await open(id)
}

/** Alt and an arrow move a position up or down within its band. */
async function onArrow(event: KeyboardEvent, { band, one }: Row) {
  if (!event.altKey || !one) return
  const other = band.positions[band.positions.indexOf(one) + (event.key === 'ArrowUp' ? -1 : 1)]
  if (!other) return
  event.preventDefault()
  const { id, name } = one
  charts.edit(t('common.moveName', { name }), (draft) => swapPositions(draft, id, other.id))
  await nextTick()
  list.value?.querySelector<HTMLElement>(`[data-position="${id}"]`)?.focus()
}

function onEnter() {
  const name = text.value.trim()
  if (!name) return
  if (found.value[0]) void open(found.value[0].id)
  else void add(name)
}

defineExpose({ search: () => field.value?.focus() })
</script>

<template>
  <nav ref="list" class="positions off-paper" :aria-label="t('positions.positions')">
    <el-input
      ref="field"
      v-model="text"
      :prefix-icon="Search"
      :aria-label="t('positions.searchOrNameAPosition')"
      :placeholder="t('positions.searchOrNameOne')"
      maxlength="200"
      @keydown.enter="onEnter"
      @keydown.esc="text = ''"
    />
    <el-button v-if="text.trim()" class="add" @click="add(text.trim())">
      {{ t('positions.newPositionText', { text: text.trim() }) }}
    </el-button>
    <LongList v-slot="{ item }" :items="rows" :key-of="keyOf" :row-height="isByFinger ? 44 : 28" :scroller="list">
      <h2 v-if="!item.one">{{ item.band.name }}</h2>
      <a
        v-else
        :href="`#/${screen}/${item.one.id}`"
        :data-position="item.one.id"
        :class="{ here: item.one.id === position?.id }"
        :aria-current="item.one.id === position?.id ? 'page' : undefined"
        @keydown.up="onArrow($event, item)"
        @keydown.down="onArrow($event, item)"
      >
        <span>{{ item.one.name }}</span>
        <svg v-if="loose.has(item.one.id)" viewBox="0 0 14 14" role="img" :aria-label="t('positions.hasALooseEnd')">
          <circle cx="7" cy="7" r="4.5" />
        </svg>
        <b v-if="figures" :class="{ stale: store.stale }">{{ hundred(figures[item.one.id]?.value ?? 0) }}</b>
      </a>
    </LongList>
  </nav>
</template>

<style scoped>
.positions {
  padding: var(--space-12) var(--space-12);
}

.add {
  width: 100%;
  margin-top: var(--space-8);
}

h2 {
  color: var(--muted);
  margin: var(--space-12) var(--space-8) var(--space-4);
  font-size: var(--type-small);
  font-weight: var(--weight-strong);
}

a {
  display: flex;
  align-items: center;
  min-height: var(--tool);
  gap: var(--space-8);
  padding: var(--space-4) var(--space-8);
  border-radius: var(--corner);
  line-height: 1.25;
  text-decoration: none;
}

a span {
  flex: 1;
}

a:hover {
  background: var(--panel);
}

.here,
.here:hover {
  background: var(--ours);
  color: var(--ours-ink);
}

b {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

svg {
  flex: none;
  width: 13px;
  height: 13px;
  fill: none;
  stroke: var(--ring);
  stroke-width: 2.4;
}

.here svg {
  stroke: currentcolor;
}
</style>
