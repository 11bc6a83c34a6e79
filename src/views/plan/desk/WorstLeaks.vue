<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { share } from '../../../core/say/figureText'
import { worstLeaks } from '../../../core/say/headline'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import MakeRound from './MakeRound.vue'
import { placeOf } from './places'

/** The three worst leaks: how often they are met times what they cost. */
const charts = useCharts()
const store = useFigures()
const leaks = computed(() =>
  worstLeaks(present(store.figures), 3).map(({ met, cost }) => ({
    met,
    cost,
    place: placeOf(present(charts.chart), met.move, met.position, met.reaction),
  })),
)
</script>

<template>
  <section class="panel" aria-label="Worst leaks">
    <h2>Worst leaks <span>net, and cost in 100</span></h2>
    <p class="muted small">Escapes that leave us worse off than if nothing had come of the try.</p>
    <ol v-if="leaks.length">
      <li v-for="{ met, cost, place } in leaks" :key="`${met.move ?? met.position} ${met.reaction}`">
        <RouterLink :to="place.go" data-test="leak">
          <b>{{ place.reaction }}</b>
          <span class="muted">{{ place.to }}, met {{ share(met.visits) }} times in 100</span>
        </RouterLink>
        <AskedFigure
          :value="met.net"
          form="net"
          :asked="{ of: 'net', move: met.move, position: met.position, reaction: met.reaction }"
          :label="`Net of ${place.reaction}`"
        />
        <AskedFigure
          class="cost"
          :value="-cost"
          form="cost"
          :asked="{ of: 'leak', reaction: place.reaction, visits: met.visits, net: met.net }"
          :label="`Cost of ${place.reaction}`"
        />
        <MakeRound :name="place.reaction" :position="met.position" :reaction="met.reaction" :move="met.move" />
      </li>
    </ol>
    <p v-else class="muted">No escape on the best plan leaks.</p>
  </section>
</template>

<style scoped src="./deskList.css"></style>
