<script setup lang="ts">
import { targetOf } from '../../../components/events'
import { computed } from 'vue'
import type { Focus } from '../../../core/slope/focus'
import { lookUp } from '../../../core/chart/lookUp'
import { useSlope } from './slope'

/** What stands out, and what is done with the whole picture. */
defineProps<{ panel: string | null }>()
const emit = defineEmits<{
  zoom: [by: 'in' | 'out' | 'fit' | 'selection']
  panel: [name: 'detail' | 'text' | 'bands']
  tidy: []
  save: [kind: 'svg' | 'png']
  print: [pages: 'one' | 'tiled']
}>()
const { chart, focus, at, setFocus } = useSlope()

const KINDS = [
  { on: 'whole', name: 'Whole' },
  { on: 'run', name: 'Best run' },
  { on: 'leaks', name: 'Leaks' },
  { on: 'traps', name: 'Traps' },
  { on: 'loose', name: 'Loose ends' },
] as const

/** The position that one stands on or at, else the one that is in focus. */
const here = computed(() => {
  const item = at.value
  const id =
    item?.kind === 'place'
      ? item.place
      : item?.kind === 'move'
        ? lookUp(chart.value.moves, item.move)?.from
        : item?.position
  return (
    lookUp(chart.value.positions, id) ??
    (focus.value.on === 'around' ? lookUp(chart.value.positions, focus.value.place) : undefined)
  )
})
const exchanges = computed(() => (focus.value.on === 'around' ? focus.value.exchanges : 0))

function setAround(n: 1 | 2 | 3) {
  if (here.value) setFocus({ on: 'around', place: here.value.id, exchanges: n } satisfies Focus)
}

const onSave = (event: Event) =>
  choose(event, (value) => {
    if (value === 'svg' || value === 'png') emit('save', value)
    else emit('print', value === 'tiled' ? 'tiled' : 'one')
  })

function choose(event: Event, take: (value: string) => void) {
  const menu = targetOf(event, HTMLSelectElement)
  const { value } = menu
  menu.value = ''
  take(value)
}
</script>

<template>
  <div class="tools" role="toolbar" aria-label="The picture">
    <div class="group" role="group" aria-label="What stands out">
      <button
        v-for="kind in KINDS"
        :key="kind.on"
        type="button"
        class="button"
        :aria-pressed="focus.on === kind.on"
        @click="setFocus({ on: kind.on })"
      >
        {{ kind.name }}
      </button>
    </div>
    <div v-if="here" class="group" role="group" :aria-label="`Around ${here.name}`">
      <span class="label here" :title="here.name">Exchanges around it</span>
      <button
        v-for="n in [1, 2, 3] as const"
        :key="n"
        type="button"
        class="button"
        :aria-pressed="exchanges === n"
        :aria-label="`${n} exchanges around ${here.name}`"
        @click="setAround(n)"
      >
        {{ n }}
      </button>
    </div>
    <span class="space" />
    <div class="group" role="group" aria-label="Zoom">
      <button type="button" class="button" aria-label="Zoom out" title="Zoom out (−)" @click="emit('zoom', 'out')">
        −
      </button>
      <button type="button" class="button" title="Show all of it (0)" @click="emit('zoom', 'fit')">Fit</button>
      <button type="button" class="button" aria-label="Zoom in" title="Zoom in (+)" @click="emit('zoom', 'in')">
        +
      </button>
    </div>
    <button type="button" class="button" title="Lay it out anew; what you put by hand stays" @click="emit('tidy')">
      Straighten
    </button>
    <button type="button" class="button" :aria-pressed="panel === 'bands'" @click="emit('panel', 'bands')">
      Order of rows
    </button>
    <button
      type="button"
      class="button"
      :aria-pressed="panel === 'text'"
      title="The same as text (T)"
      @click="emit('panel', 'text')"
    >
      Text
    </button>
    <button
      type="button"
      class="button"
      :aria-pressed="panel === 'detail'"
      title="In detail (I)"
      @click="emit('panel', 'detail')"
    >
      About it
    </button>
    <select class="field" aria-label="Save or print the picture" @change="onSave">
      <option value="">Save, print</option>
      <option value="svg">Save as SVG</option>
      <option value="png">Save as PNG</option>
      <option value="one">Print on one page</option>
      <option value="tiled">Print on several pages</option>
    </select>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  padding: 6px 12px;
  border-bottom: 1px solid var(--line);
  background: var(--panel);
}

.group {
  display: flex;
  gap: 2px;
  align-items: center;
}

.space {
  flex: 1;
}

.here {
  padding: 0 6px 0 10px;
}

.button,
.field {
  min-height: 30px;
  padding: 2px 9px;
  font: 600 15px/1.2 var(--label);
}

.field {
  width: 104px;
}

[aria-pressed='true'] {
  border-color: var(--ours);
  background: var(--ours);
  color: var(--ours-ink);
}
</style>
