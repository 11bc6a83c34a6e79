<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { computed, ref } from 'vue'
import LooseRing from '../../../components/LooseRing.vue'
import MoreButton from '../../../components/MoreButton.vue'
import { costliest, deepestOffPlan, type Costly } from '../../../core/insight/costly'
import { onceIn } from '../../../core/say/figureText'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import MakeRound from './MakeRound.vue'
import { placeOf, placeOfGettingOut } from './places'
import { t } from '../../../words'

/** What they do that costs us, leaks and loose ends in one list; and what would cost most if it were ever met. */
const charts = useCharts()
const store = useFigures()
const FEW = 8
const FEW_OFF_PLAN = 3
const most = ref(FEW)
const chart = computed(() => present(charts.chart))

function rowOf(one: Costly) {
  const { position, reaction } = one.of === 'leak' ? one.met : one.end
  const move = one.of === 'leak' ? one.met.move : 'move' in one.end.met ? one.end.met.move : null
  const isLoose = one.of === 'loose end'
  const place = reaction
    ? placeOf(chart.value, move, position, reaction, isLoose)
    : placeOfGettingOut(chart.value, position)
  const visits = isLoose ? one.end.visits : one.met.visits
  return {
    ...{ one, place, position, reaction, move, visits },
    key: isLoose ? `loose ${one.index}` : `${move ?? position} ${reaction}`,
  }
}
/** What costs us though it is hardly met is what the plan avoids. */
const SELDOM = 0.002
const howMet = (one: Costly, visits: number) =>
  one.of === 'loose end' && visits < SELDOM ? t('desk.thePlanGoesRoundIt') : onceIn(visits)
const rows = computed(() => costliest(present(store.figures), store.costs).map(rowOf))
const shown = computed(() => rows.value.slice(0, most.value))
const offPlan = computed(() =>
  deepestOffPlan(present(store.figures), FEW_OFF_PLAN).map((met) => ({
    met,
    place: placeOf(chart.value, met.move, met.position, met.reaction),
  })),
)
</script>

<template>
  <section class="panel" :aria-label="t('common.whatCostsUsMost')">
    <h2>
      {{ t('common.whatCostsUsMost') }} <span>{{ t('desk.eachTimeAndInAHundred') }}</span>
    </h2>
    <p class="muted small">
      <I18nT keypath="desk.whatCostsUs" scope="global"
        ><template #leaks
          ><b>{{ t('desk.leaks') }}</b></template
        ><template #looseEnds
          ><b>{{ t('common.looseEnds') }}</b></template
        ></I18nT
      >
      {{ ' '
      }}<span v-if="store.costsLeft" role="status">{{
        t('desk.workingOutCosts', { costs: t('count.cost', store.costsLeft) })
      }}</span>
    </p>
    <ol v-if="rows.length">
      <li v-for="{ one, place, position, reaction, move, visits, key } in shown" :key="key">
        <RouterLink :to="place.go" :data-test="one.of === 'leak' ? 'leak' : 'loose-end'">
          <LooseRing v-if="one.of === 'loose end'" :text="place.reaction" />
          <b v-else>{{ place.reaction }}</b>
          <span class="muted">{{ place.to }}, {{ howMet(one, visits) }}</span>
        </RouterLink>
        <AskedFigure
          v-if="one.of === 'leak'"
          :value="one.met.net"
          form="net"
          :asked="{ of: 'net', move, position, reaction: one.met.reaction }"
          :label="t('common.netOfReaction', { reaction: place.reaction })"
        />
        <AskedFigure
          v-if="one.of === 'leak'"
          class="cost"
          :value="one.cost"
          form="cost"
          :asked="{ of: 'leak', reaction: place.reaction, visits, net: one.met.net }"
          :label="t('common.costOfReaction', { reaction: place.reaction })"
        />
        <AskedFigure
          v-else-if="typeof one.cost === 'number'"
          class="cost"
          :value="one.cost"
          form="cost"
          :asked="{ of: 'cost', reaction: place.reaction, cost: one.cost }"
          :label="t('common.costOfReaction', { reaction: place.reaction })"
        />
        <span v-else class="muted cost">…</span>
        <MakeRound v-if="reaction" :name="place.reaction" :position="position" :reaction="reaction" :move="move" />
      </li>
    </ol>
    <p v-else class="muted">{{ t('desk.nothingThatIsChartedCostsUs') }}</p>
    <MoreButton v-model="most" :few="FEW" :of="rows.length" />
    <template v-if="offPlan.length">
      <h3>{{ t('desk.notInYourMainLine') }}</h3>
      <ol :aria-label="t('desk.notInYourMainLine')">
        <li v-for="{ met, place } in offPlan" :key="`${met.move ?? met.position} ${met.reaction}`">
          <RouterLink :to="place.go" data-test="off-plan">
            <b>{{ place.reaction }}</b>
            <span class="muted">{{ t('desk.toAndThePlanDoesNot', { to: place.to }) }}</span>
          </RouterLink>
          <AskedFigure
            :value="met.net"
            form="net"
            :asked="{ of: 'net', move: met.move, position: met.position, reaction: met.reaction }"
            :label="t('common.netOfReaction', { reaction: place.reaction })"
          />
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped src="./deskList.css"></style>

<style scoped>
h3 {
  margin-top: var(--space-12);
}
</style>
