<script setup lang="ts">
import { computed } from 'vue'
import { positionIn } from '../../../core/chart/edits/find'
import { factsOf, frameOf, FRAMES, whoControls } from '../../../core/sides/frames'
import { pairsOfFrame, type WordPair } from '../../../core/sides/vocabulary'
import { useCharts } from '../../../stores/charts'
import { useHolds } from './holds'

/** How the two lie or stand to each other, and what must be known to say sides; without it, left and right are said. */
const { position } = useHolds()
const charts = useCharts()
const frame = computed(() => frameOf(position.value?.frame))
const facts = computed(() => factsOf(position.value?.frame, whoControls(position.value!)))
const isOwn = computed(() => Boolean(position.value?.frame && !frame.value))

const pairs = computed(() => pairsOfFrame(position.value?.frame))
const words = computed(() => charts.chart?.settings?.words ?? {})
const isGuard = computed(() => position.value?.frame === 'guard')
const said = ({ pair: [one, two] }: WordPair) => `${words.value[one] ?? one} ${words.value[two] ?? two}`

/** Every text of the chart says these two words then, in this school's way. */
function setWords({ pair }: WordPair, chosen: string) {
  const own = chosen.split(' ')
  charts.edit(`Say ${own.join(' and ')}`, (draft) => {
    const next = { ...draft.settings?.words }
    pair.forEach((word, i) => {
      if (own[i] === word) delete next[word]
      else next[word] = own[i]
    })
    draft.settings = { ...draft.settings, words: next }
    if (!Object.keys(next).length) delete draft.settings.words
  })
}

function setFrame(id: string) {
  charts.edit(`Frame of ${position.value!.name}`, (draft) => {
    const record = positionIn(draft, position.value!.id)
    if (id) record.frame = id
    else delete record.frame
  })
}

function setFact(key: string, side: string) {
  charts.edit(`Sides of ${position.value!.name}`, (draft) => {
    const record = positionIn(draft, position.value!.id)
    const orientation = { ...record.orientation }
    if (side) orientation[key] = side
    else delete orientation[key]
    if (Object.keys(orientation).length) record.orientation = orientation
    else delete record.orientation
  })
}
</script>

<template>
  <div class="frame">
    <label>
      <span class="label">Seen</span>
      <select
        class="field"
        :value="position!.frame ?? ''"
        @change="setFrame(($event.target as HTMLSelectElement).value)"
      >
        <option value="">in no frame</option>
        <option v-if="isOwn" :value="position!.frame">{{ position!.frame }}</option>
        <option v-for="one in FRAMES" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <label v-for="fact in facts" :key="fact.key">
      <span class="label">{{ fact.ask }}</span>
      <select
        class="field"
        :value="String(position!.orientation?.[fact.key] ?? '')"
        @change="setFact(fact.key, ($event.target as HTMLSelectElement).value)"
      >
        <option value="">not said</option>
        <option value="left">left</option>
        <option value="right">right</option>
      </select>
    </label>
    <label v-if="isGuard">
      <span class="label">who is underneath</span>
      <select
        class="field"
        :value="position!.orientation?.below ?? ''"
        @change="setFact('below', ($event.target as HTMLSelectElement).value)"
      >
        <option value="">they are</option>
        <option value="ours">we are</option>
      </select>
    </label>
    <label v-for="one in pairs" :key="one.pair.join()">
      <span class="label">said as</span>
      <select
        class="field"
        :aria-label="`Say ${one.pair.join(' and ')} as`"
        :value="said(one)"
        @change="setWords(one, ($event.target as HTMLSelectElement).value)"
      >
        <option v-for="pair in [one.pair, ...one.others]" :key="pair.join()" :value="pair.join(' ')">
          {{ pair.join(' / ') }}
        </option>
      </select>
    </label>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
}

label {
  display: grid;
  gap: 2px;
}

.field {
  width: auto;
  min-width: 120px;
  min-height: 30px;
  font-size: 15px;
}
</style>
