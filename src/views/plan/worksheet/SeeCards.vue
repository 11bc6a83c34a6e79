<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { lookUp } from '../../../core/chart/lookUp'
import { hundred } from '../../../core/say/figureText'
import { seeCard } from '../../../core/say/seen'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import PaperHead from './PaperHead.vue'
import { t } from '../../../words/worksheet'

/** What one sees on coming to a position and does then, on cards of A6, four to a page. */
const route = useRoute()
const charts = useCharts()
const store = useFigures()
const chart = computed(() => present(charts.chart))
const seen = computed(() => chart.value.positions.filter((position) => position.seen))
const options = computed(() => seen.value.map(({ id, name }) => ({ value: id, label: name })))
const chosen = computed(() => {
  const ids = String(route.query.of ?? '').split(',')
  const some = seen.value.filter(({ id }) => ids.includes(id))
  return (some.length ? some : seen.value).map(({ id }) => id)
})
const cards = computed(() =>
  chosen.value.flatMap((id) => {
    const [card, at] = [seeCard(chart.value, store.figures, id), lookUp(chart.value.positions, id)]
    return card && at ? [{ ...card, at }] : []
  }),
)
const count = (n: number) => String(Math.round(10 * n) / 10)
</script>

<template>
  <div class="paper">
    <PaperHead
      :title="t('frame.seeAndDoCards')"
      :label="t('worksheet.whichPositionsHaveCards')"
      :options="options"
      :chosen="chosen"
    />
    <p v-if="!options.length" class="muted">{{ t('worksheet.noCueIsCharted') }}</p>
    <ul class="cards">
      <li v-for="card in cards" :key="card.position" class="panel card">
        <PositionFigure class="picture" :chart="chart" :position="card.at" />
        <h2>
          <RouterLink :to="`/worksheet/${card.position}`">{{ card.at.name }}</RouterLink>
        </h2>
        <dl>
          <div v-for="line in card.lines" :key="line.cue">
            <dt>
              {{ line.name }} <span class="muted small">{{ t('worksheet.nOfTen', { n: count(line.ofTen) }) }}</span>
            </dt>
            <dd>
              <b>{{ line.does }}</b>
              <span v-if="line.worth !== null" class="worth">{{ hundred(line.worth) }}</span>
              <span v-for="text in line.heed" :key="text" class="small heed">{{ text }}</span>
            </dd>
          </div>
        </dl>
        <p v-for="caution in card.cautions" :key="caution" class="small caution">{{ caution }}</p>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.paper {
  display: grid;
  gap: var(--space-16);
  padding: var(--space-16);
}

.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
  gap: var(--space-12);
}

.card {
  display: flex;
  flex-direction: column;
  gap: var(--space-8);
  padding: var(--space-12) var(--space-16);
}

.picture {
  --thumb: 96px;

  align-self: end;
  margin-bottom: calc(-1 * var(--space-32));
}

h2 a {
  text-decoration: none;
}

dl > div {
  padding: var(--space-8) 0;
  border-top: 1px solid var(--line);
}

dt {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

dd {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 var(--space-8);
  padding-left: var(--space-16);
  margin: 0;
}

dd b::before {
  color: var(--muted);
  content: '→ ';
}

.worth {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

.heed {
  grid-column: 1 / -1;
}

.caution {
  margin-top: auto;
}

.caution + .caution {
  margin-top: 0;
}

@media print {
  .paper {
    display: block;
    padding: 0;
  }

  .cards {
    grid-template-columns: 1fr 1fr;
    gap: 0;
  }

  /* A quarter of the page between its head and its foot: with the margins about A6, to be cut along the dots. */
  .card {
    min-height: 118mm;
    padding: var(--space-8) var(--space-12);
    border: 1px dotted var(--strong-line);
    border-radius: 0;
    box-shadow: none;
    break-inside: avoid;
  }
}
</style>
