<script setup lang="ts">
import { computed } from 'vue'
import CautionLines from '../../../components/CautionLines.vue'
import { cautionLines } from '../../../core/chart/hazard'
import { lookUp } from '../../../core/chart/lookUp'
import { blockMoves } from '../../../core/club/blockMoves'
import { timedBlocks } from '../../../core/club/classPlan'
import { pairedFor, pairingRules } from '../../../core/club/edits/livePairs'
import { limitsOf } from '../../../core/club/limits'
import { onMats } from '../../../core/club/live/onMats'
import { heeds } from '../../../core/club/pairs'
import { USUAL_MATS, type Session } from '../../../core/club/session'
import { mistakesOf } from '../../../core/club/walks'
import { peopleOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import SheetHead from '../../parts/print/SheetHead.vue'
import { aboutText, blockTitle, roundsText, startingText, strikesText } from '../../parts/club/blocks'
import { dayText } from '../../parts/club/days'
import { heedsText } from '../../parts/club/heeds'
import { t } from '../../../words/train'

/** A card for each block of a class, and who works with whom on which mat: to print and to cut. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const people = computed(() => peopleOf(present(clubs.club), props.session))
/** As they are on the mats now, or as they would be. */
const mats = computed(() => {
  const club = present(clubs.club)
  if (club.live?.session === props.session.id) return club.live.mats
  const { pairs } = pairedFor('rounds', people.value, pairingRules(club, props.session))
  return onMats(pairs, props.session.mats ?? USUAL_MATS)
})
const cards = computed(() =>
  timedBlocks(props.session).map(({ block, waves }) => ({
    ...{ block, waves, about: aboutText(charts.chart, block), start: startingText(charts.chart, block) },
    mistake: mistakesOf(charts.chart, block)[0],
    cautions: charts.chart ? cautionLines(blockMoves(charts.chart, block)) : [],
  })),
)
const namesOf = (ids: readonly string[]) => ids.map((id) => lookUp(people.value, id)?.name ?? id).join(', ')
const heeded = (ids: readonly string[]) =>
  heedsText(
    heeds(
      ids.flatMap((id) => lookUp(people.value, id) ?? []),
      limitsOf(present(clubs.club)),
    ),
  ).join(' ')
</script>

<template>
  <section class="cards" :aria-label="t('train.cards')">
    <SheetHead :title="t('train.cardsOf', { day: dayText(session.when) })">
      <RouterLink :to="{ path: '/sessions', query: { class: session.id } }">{{
        t('train.thePlanOfTheClass')
      }}</RouterLink>
    </SheetHead>
    <div class="grid">
      <article v-for="card in cards" :key="card.block.id" class="panel" :aria-label="blockTitle(card.block)">
        <h2>
          {{ blockTitle(card.block) }} <span>{{ t('train.minutesShort', { n: card.block.minutes }) }}</span>
        </h2>
        <p v-if="card.about" class="about">{{ card.about }}</p>
        <p v-if="roundsText(card.block)">
          {{ roundsText(card.block) }}
          <template v-if="card.waves > 1">{{ t('train.inWaves', { waves: card.waves }) }}</template>
        </p>
        <p v-if="card.start">{{ card.start }}</p>
        <ol v-if="card.block.points?.length">
          <li v-for="point in card.block.points" :key="point">{{ point }}</li>
        </ol>
        <p v-if="card.mistake">
          <b>{{ t('train.oneMistake') }}:</b> {{ card.mistake.says }}
          <template v-if="card.mistake.fix"> → {{ card.mistake.fix }}</template>
        </p>
        <p v-if="strikesText(card.block)">{{ strikesText(card.block) }}</p>
        <CautionLines :lines="card.cautions" />
      </article>
      <article class="panel" :aria-label="t('train.pairs')">
        <h2>{{ t('train.pairs') }}</h2>
        <template v-for="mat in mats" :key="mat.n">
          <h3>{{ t('train.matN', { n: mat.n }) }}</h3>
          <ul>
            <li v-for="pair in mat.queue" :key="pair.people.join()">
              {{ namesOf(pair.people) }} <span class="small muted">{{ heeded(pair.people) }}</span>
            </li>
          </ul>
        </template>
      </article>
    </div>
  </section>
</template>

<style scoped>
.cards {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  padding: var(--space-16);
}

h2 {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
  justify-content: space-between;
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr));
  gap: var(--space-12);
}

article {
  display: grid;
  gap: var(--space-8);
  align-content: start;
  padding: var(--space-12) var(--space-16);
  break-inside: avoid;
}

h2 {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

.about {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
}

ol {
  padding-left: var(--space-16);
  list-style: decimal;
}

@media print {
  .cards {
    display: block;
  }

  .grid {
    display: block;
    margin-top: var(--space-12);
    columns: 2;
  }

  article {
    margin-bottom: var(--space-12);
  }
}
</style>
