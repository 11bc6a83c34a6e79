<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import { counted, share } from '../../../core/say/figureText'
import LooseRing from '../../../components/LooseRing.vue'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import MoreButton from '../../../components/MoreButton.vue'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import MakeRound from './MakeRound.vue'
import { placeOf, placeOfGettingOut } from './places'

/** Reactions without an answer, by what they cost: how much the start would gain if nothing came of them. */
const charts = useCharts()
const store = useFigures()
const FEW = 5
const most = ref(FEW)

const ends = computed(() =>
  present(store.figures)
    .looseEnds.map((end, i) => {
      const { position, reaction, visits } = end
      const move = 'move' in end.met ? end.met.move : null
      const chart = present(charts.chart)
      const place = reaction ? placeOf(chart, move, position, reaction, true) : placeOfGettingOut(chart, position)
      return { key: `${i} ${reaction}`, place, position, reaction, move, visits, cost: store.costs[i] }
    })
    .sort((a, b) => (b.cost ?? -1) - (a.cost ?? -1) || b.visits - a.visits),
)
const shown = computed(() => ends.value.slice(0, most.value))
</script>

<template>
  <section class="panel" aria-label="Loose ends">
    <h2>Loose ends <span>cost in 100</span></h2>
    <p class="muted small">
      They do this and we have nothing. Press one and name the answer.
      <span v-if="store.costsLeft" role="status">Working out {{ counted(store.costsLeft, 'cost') }} …</span>
    </p>
    <ol v-if="ends.length">
      <li v-for="end in shown" :key="end.key">
        <RouterLink :to="end.place.go" data-test="loose-end">
          <LooseRing :text="end.place.reaction" />
          <span class="muted"
            >{{ end.place.to }}<template v-if="end.visits > 0.0005">, met {{ share(end.visits) }} times in 100</template
            ><template v-else>, on no path of the best plan</template></span
          >
        </RouterLink>
        <AskedFigure
          v-if="typeof end.cost === 'number'"
          :value="end.cost"
          form="cost"
          :asked="{ of: 'cost', reaction: end.place.reaction, cost: end.cost }"
          :label="`Cost of ${end.place.reaction}`"
        />
        <span v-else class="muted">…</span>
        <MakeRound
          v-if="end.reaction"
          :name="end.place.reaction"
          :position="end.position"
          :reaction="end.reaction"
          :move="end.move"
        />
      </li>
    </ol>
    <p v-else class="muted">Every reaction has an answer.</p>
    <MoreButton v-model="most" :few="FEW" :of="ends.length" />
  </section>
</template>

<style scoped src="./deskList.css"></style>
