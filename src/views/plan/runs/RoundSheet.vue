<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { I18nT } from 'vue-i18n'
import { valueOf } from '../../../components/events'
import { present } from '../../../core/sure'
import dayjs from 'dayjs'
import { computed } from 'vue'
import type { PositionalRound } from '../../../core/chart/positionalRound'
import { setField } from '../../../core/chart/edits/fields'
import { answerOfRound, removeRound, setRoundSeconds, tallyRound } from '../../../core/chart/edits/positionalRounds'
import { talliedRounds } from '../../../core/chart/tries'
import { lookUp } from '../../../core/chart/lookUp'
import { sayRound } from '../../../core/say/positionalRound'
import SteadyInput from '../../../components/SteadyInput.vue'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { t } from '../../../words/runs'

/** To be ticked on paper. */
const BOXES = '□□□□□ □□□□□'

/** One positional round: where it starts, what each may do, what ends it; and whether it worked. */
const props = defineProps<{ card: PositionalRound }>()
const charts = useCharts()
const figures = useFigures()
const chart = computed(() => present(charts.chart))
const said = computed(() => sayRound(chart.value, props.card))
const place = computed(() => lookUp(chart.value.positions, props.card.position))
const answer = computed(() => answerOfRound(chart.value, props.card))
const rounds = computed(() => talliedRounds(answer.value?.tries ?? {}))
const answerName = computed(() => lookUp(chart.value.moves, answer.value?.move)?.name ?? '')
const met = computed(() => figures.met(props.card.move ?? props.card.position, props.card.reaction))
const asked = computed(() => ({
  of: 'net' as const,
  move: props.card.move ?? null,
  position: props.card.position,
  reaction: props.card.reaction,
}))

const ROWS = [
  { key: 'start', label: t('common.start') },
  { key: 'begins', label: t('runs.begin') },
  { key: 'they', label: t('common.they') },
  { key: 'we', label: t('common.we') },
  { key: 'ends', label: t('runs.itEnds') },
] as const

function count(worked: boolean) {
  const { id } = props.card
  const today = dayjs().format('YYYY-MM-DD')
  charts.edit(worked ? t('runs.aRoundThatWorked') : t('runs.aRoundThatDidNot'), (draft) =>
    tallyRound(draft, id, worked, today),
  )
}
function setSeconds(event: Event) {
  const seconds = Number(valueOf(event))
  charts.edit(t('runs.lengthOfTheRound'), (draft) => setRoundSeconds(draft, props.card.id, seconds))
}
function setPositionOnly(isOnly: boolean) {
  charts.edit(t('runs.goalOfTheRound'), (draft) =>
    setField(draft, 'cards', props.card.id, 'positionOnly', isOnly || undefined),
  )
}
function remove() {
  charts.edit(t('runs.removeTheCard'), (draft) => removeRound(draft, props.card.id))
  charts.tell(t('runs.theCardIsRemoved', { title: said.value.title }), 'info', 'undo')
}
</script>

<template>
  <article class="panel card" :aria-label="said.title">
    <header>
      <PositionFigure v-if="place" class="picture" :chart="chart" :position="place" />
      <h2>{{ said.title }}</h2>
      <AskedFigure
        v-if="met"
        :value="met.net"
        form="net"
        :asked="asked"
        :label="t('common.netOfReaction', { reaction: said.title })"
      />
      <IconButton
        :icon="Close"
        :name="t('common.removeName', { name: said.title })"
        :tip="t('common.remove')"
        @click="remove"
      />
    </header>
    <dl>
      <template v-for="{ key, label } in ROWS" :key="key">
        <dt>{{ label }}</dt>
        <dd>{{ said[key] }}</dd>
      </template>
    </dl>
    <ul class="cautions">
      <li v-for="line in said.cautions" :key="line">{{ line }}</li>
    </ul>
    <p class="settings off-paper">
      <label>
        <SteadyInput :value="card.seconds" :aria-label="t('runs.secondsOfARound')" @change="setSeconds" />
        {{ t('runs.seconds') }}
      </label>
      <el-checkbox :model-value="card.positionOnly ?? false" @change="(on: boolean) => setPositionOnly(on)">
        {{ t('runs.positionOnlyNoFinish') }}</el-checkbox
      >
    </p>
    <div
      v-if="answer"
      class="tallies off-paper"
      role="group"
      :aria-label="t('runs.roundsOfAnswerName', { answerName })"
    >
      <el-button class="worked" @click="count(true)">
        {{ t('runs.itWorked') }} <b>{{ rounds.worked }}</b>
      </el-button>
      <el-button @click="count(false)">
        {{ t('runs.itDidNot') }} <b>{{ rounds.failed }}</b>
      </el-button>
      <span class="muted small">{{ t('runs.countsForAnswerName', { answerName }) }}</span>
    </div>
    <p v-else class="small off-paper">
      <I18nT keypath="runs.nameTheAnswerFirst" scope="global"
        ><template #link
          ><RouterLink
            :to="{
              path: `/worksheet/${card.position}`,
              query: { ...(card.move ? { move: card.move } : {}), reaction: card.reaction, answer: '1' },
            }"
            >{{ t('runs.nameTheAnswer') }}</RouterLink
          ></template
        ></I18nT
      >
    </p>
    <p class="boxes" aria-hidden="true">{{ t('runs.worked') }} {{ BOXES }}<br />{{ t('runs.didNot') }} {{ BOXES }}</p>
  </article>
</template>

<style scoped>
.picture {
  --thumb: 88px;
}

.card {
  display: grid;
  align-content: start;
  gap: var(--space-8);
  padding: var(--space-16) var(--space-16);
  break-inside: avoid;
}

header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto auto;
  gap: var(--space-12);
  align-items: start;
}

h2 {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

dl {
  display: grid;
  grid-template-columns: 62px minmax(0, 1fr);
  gap: var(--space-4) var(--space-8);
}

dl,
dd {
  margin: 0;
}

dt {
  font: var(--weight-strong) var(--type-body) / 1.5 var(--label);
  color: var(--muted);
}

.cautions {
  padding: var(--space-8) var(--space-12);
  border-left: 4px solid var(--caution);
  background: var(--caution-soft);
  font-size: var(--type-small);
}

.settings {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
  align-items: center;
}

.settings .el-input {
  width: 58px;
  min-height: var(--control);
}

.tallies {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
}

.tallies .el-button {
  min-height: 44px;
  padding: var(--space-4) var(--space-16);
  font-size: var(--type-lead);
}

.worked {
  border-color: var(--ours);
}

.boxes {
  display: none;
}

@media print {
  .card {
    min-height: 112mm;
    border: 1px solid var(--sheet-ink) !important;
    font-size: var(--type-small);
  }

  h2 {
    font-size: var(--type-lead);
  }

  dt,
  .boxes {
    font-size: var(--type-small);
  }

  .cautions {
    font-size: var(--type-small);
  }

  .boxes {
    display: block;
    margin-top: auto;
  }
}
</style>
