<script setup lang="ts">
import { Delete } from '@element-plus/icons-vue'
import { computed } from 'vue'
import IconButton from '../../../components/IconButton.vue'
import InlineText from '../../../components/InlineText.vue'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import CautionLines from '../../../components/CautionLines.vue'
import { named } from '../../../components/options'
import { numberOf, valueOf } from '../../../components/events'
import { cautionLines } from '../../../core/chart/hazard'
import { blockMoves } from '../../../core/club/blockMoves'
import { hasStrikes } from '../../../core/club/classPlan'
import { removeBlock, setBlock } from '../../../core/club/edits/sessions'
import { BLOCK_KINDS, MOST_POINTS, type Block, type Session } from '../../../core/club/session'
import { knownOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { RESISTANCES } from '../../../core/match/tryLog'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { BLOCK_NAMES, blockTitle } from '../../parts/club/blocks'
import { shelfFlows } from '../../parts/club/flows'
import OpenRefused from './OpenRefused.vue'
import StrikesOfBlock from './StrikesOfBlock.vue'
import { aboutOf, subjects } from './subjects'
import { t, type TrainKey } from '../../../words/train'

/** A block in detail: how long, what it is about, with whom and how hard, what is looked at. */
const props = defineProps<{ session: Session; block: Block }>()
const clubs = useClubs()
const charts = useCharts()
const title = computed(() => blockTitle(props.block))
const isWatched = computed(() => props.block.kind === 'watch' || props.block.kind === 'try')
const moves = computed(() => (charts.chart ? blockMoves(charts.chart, props.block) : []))
const isStruck = computed(() => hasStrikes(moves.value) || props.block.gear !== undefined)
/** On whom it can be shown: whoever comes. */
const partners = computed(() => [
  { value: '', label: t('common.none') },
  ...named(knownOf(present(clubs.club), props.session)),
])
/** Trials that are still open, and the one that the block has. */
const trials = computed(() => [
  { value: '', label: t('common.none') },
  ...(clubs.club?.trials ?? [])
    .filter(({ id, verdict }) => !verdict || id === props.block.trial)
    .map(({ id, title: name }) => ({ value: id, label: name })),
])
const cautions = computed(() => cautionLines(moves.value))
const kinds = BLOCK_KINDS.map((value) => ({ value, label: BLOCK_NAMES[value] }))
const RESISTED: Record<(typeof RESISTANCES)[number], TrainKey> = {
  scripted: 'train.scripted',
  some: 'train.some',
  full: 'train.full',
}
const resistances = RESISTANCES.map((value) => ({ value, label: t(RESISTED[value]) }))
const WITH_WHOM = [
  { value: 'learn', label: t('train.toLearn') },
  { value: 'rounds', label: t('train.sameSizeAndLevel') },
  { value: 'rotation', label: t('train.rotation') },
  { value: 'winner-stays', label: t('train.winnerStays') },
] as const

function set<F extends Exclude<keyof Block, 'id'>>(field: F, value: Block[F] | undefined) {
  clubs.edit(t('train.changeBlock', { block: title.value }), (draft) =>
    setBlock(draft, props.session.id, props.block.id, field, value),
  )
}
/** A number that is left empty is taken away. */
const setNumber = (field: 'minutes' | 'work' | 'rest' | 'rounds', event: Event) =>
  set(field, valueOf(event) === '' && field !== 'minutes' ? undefined : numberOf(event))
function setPoint(at: number, text: string) {
  const points = [...(props.block.points ?? [])]
  points[at] = text
  const left = points.filter((point) => point.trim())
  set('points', left.length ? left : undefined)
}
function remove() {
  clubs.edit(t('train.removeBlock', { block: title.value }), (draft) =>
    removeBlock(draft, props.session.id, props.block.id),
  )
}
const NUMBERS = [
  { field: 'minutes', label: t('train.minutes'), max: 180 },
  { field: 'rounds', label: t('train.rounds'), max: 99 },
  { field: 'work', label: t('train.workSeconds'), max: 3600 },
  { field: 'rest', label: t('train.restSeconds'), max: 3600 },
] as const
</script>

<template>
  <aside class="about off-paper" :aria-label="title">
    <header>
      <h2>
        <InlineText
          :value="block.title ?? ''"
          :label="t('train.nameOfTheBlock')"
          :placeholder="BLOCK_NAMES[block.kind]"
          @change="(name) => set('title', name || undefined)"
        />
      </h2>
      <IconButton :icon="Delete" :name="t('train.removeBlock', { block: title })" @click="remove" />
    </header>
    <label>
      <span class="label">{{ t('train.kind') }}</span>
      <PickList :value="block.kind" :options="kinds" @change="(kind) => set('kind', kind)" />
    </label>
    <div class="numbers">
      <label v-for="{ field, label, max } in NUMBERS" :key="field">
        <span class="label">{{ label }}</span>
        <SteadyInput
          type="number"
          min="0"
          :max="max"
          :value="block[field] ?? ''"
          @change="(event) => setNumber(field, event)"
        />
      </label>
    </div>
    <label>
      <span class="label">{{ t('train.about') }}</span>
      <PickList
        :value="block.about ? `${block.about.kind} ${block.about.id}` : ''"
        :options="subjects(charts.chart, shelfFlows())"
        @change="(picked) => set('about', aboutOf(charts.chart, picked))"
      />
    </label>
    <label>
      <span class="label">{{ t('train.howMuchTheyResist') }}</span>
      <PickList
        :value="block.resistance"
        :options="resistances"
        :placeholder="t('common.none')"
        @change="(one) => set('resistance', one)"
      />
    </label>
    <label>
      <span class="label">{{ t('train.withWhom') }}</span>
      <PickList
        :value="block.withWhom"
        :options="WITH_WHOM"
        :placeholder="t('common.none')"
        @change="(one) => set('withWhom', one)"
      />
    </label>
    <label v-if="trials.length > 1">
      <span class="label">{{ t('train.twoWaysInTurn') }}</span>
      <PickList :value="block.trial ?? ''" :options="trials" @change="(id) => set('trial', id || undefined)" />
    </label>
    <el-checkbox
      :model-value="block.isStanding ?? false"
      @change="(on: boolean) => set('isStanding', on || undefined)"
      >{{ t('train.onTheFeet') }}</el-checkbox
    >
    <section v-if="isWatched" :aria-label="t('train.points')">
      <h3>{{ t('train.points') }}</h3>
      <ol class="points">
        <li v-for="i in Math.min(MOST_POINTS, (block.points?.length ?? 0) + 1)" :key="i">
          <InlineText
            :value="block.points?.[i - 1] ?? ''"
            :label="t('train.pointN', { n: i })"
            :placeholder="t('train.whatToLookAt')"
            @change="(text) => setPoint(i - 1, text)"
          />
        </li>
      </ol>
      <p>
        <span class="label">{{ t('train.oneMistake') }}</span>
        <InlineText
          :value="block.mistake ?? ''"
          :label="t('train.oneMistake')"
          :placeholder="t('common.none')"
          @change="(text) => set('mistake', text || undefined)"
        />
      </p>
      <p class="muted small">{{ t('train.fromTwoSides') }}</p>
      <label>
        <span class="label">{{ t('train.shownOn') }}</span>
        <PickList :value="block.shownOn ?? ''" :options="partners" @change="(id) => set('shownOn', id || undefined)" />
      </label>
    </section>
    <StrikesOfBlock v-if="isStruck" :block="block" @set="set" />
    <OpenRefused :session="session" :block="block" />
    <CautionLines :lines="cautions" />
  </aside>
</template>

<style scoped>
.about {
  display: grid;
  gap: var(--space-12);
  align-content: start;
}

header {
  display: flex;
  justify-content: space-between;
  gap: var(--space-8);
}

.numbers {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--space-8);
}

p .label {
  display: block;
}

.points {
  padding-left: var(--space-16);
  list-style: decimal;
}

.points li {
  min-height: var(--target);
  padding: var(--space-4) 0;
}
</style>
