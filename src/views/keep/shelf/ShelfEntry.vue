<script setup lang="ts">
import { sure } from '../../../core/sure'
import { computed } from 'vue'
import HazardBadge from '../../../components/HazardBadge.vue'
import { buildsOf } from '../../../core/chart/fit'
import { lookUp } from '../../../core/chart/lookUp'
import { placeName } from '../../../core/chart/placeNames'
import type { Found } from '../../../core/shelf/search'
import type { Shelf } from '../../../core/shelf/shelf'
import { principlesOf } from '../../../core/shelf/principles'
import { REASONS } from '../../../core/shelf/reasons'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import CheckMark from '../../parts/shelf/CheckMark.vue'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import OtherChair from './OtherChair.vue'
import SymptomTable from './SymptomTable.vue'
import PrincipleList from '../../parts/shelf/PrincipleList.vue'
import { usePulling } from '../../parts/shelf/pulling'
import PrintButton from '../../parts/print/PrintButton.vue'
import { t } from '../../../words/shelf'

/** An entry of the Shelf: what it is, when, in which order, what they do about it, and what it may injure. */
const props = defineProps<{ shelf: Shelf; found: Found }>()
const emit = defineEmits<{ open: [found: Found] }>()
const charts = useCharts()
const store = useShelf()
const { pull, isThere } = usePulling()

const position = computed(() =>
  props.found.kind === 'position' ? lookUp(props.shelf.positions, props.found.id) : undefined,
)
const move = computed(() => (props.found.kind === 'move' ? lookUp(props.shelf.moves, props.found.id) : undefined))
const reaction = computed(() =>
  props.found.kind === 'reaction' ? lookUp(props.shelf.reactions, props.found.id) : undefined,
)
/** Where it is, or from where it goes. */
const place = computed(() => position.value ?? lookUp(props.shelf.positions, move.value?.from))
const record = computed(() => position.value ?? move.value ?? reaction.value)
const hazard = computed(() => move.value?.hazard)

/** How many of ten land, and why: "6 land: only our own movement". */
const tries = computed(() => {
  const { tries: ten, reason, race } = move.value ?? {}
  if (!reason) return ''
  return race ? REASONS[reason].says : t('shelf.landsBecause', { lands: ten?.lands ?? 0, why: REASONS[reason].says })
})
/** For which build, each remark once. */
const builds = computed(() => buildsOf(move.value?.fit))
const governing = computed(() => (move.value ? principlesOf(props.shelf, store.principles, move.value) : []))

/** What one can go on to from here, by what it is. */
const links = computed(() => {
  const { shelf, found } = props
  const moves = (ids: readonly string[]) =>
    ids.map((id): Found & { name: string } => ({ kind: 'move', id, name: lookUp(shelf.moves, id)?.name ?? id }))
  if (position.value) {
    const from = shelf.moves.filter((one) => [one.from, ...(one.alsoFrom ?? [])].some((id) => id === found.id))
    return [{ head: t('shelf.fromHere'), items: moves(from.map(({ id }) => id)) }]
  }
  if (move.value) {
    const met = Object.keys(move.value.tries?.reactions ?? {})
    return [
      {
        head: t('shelf.theyMay'),
        items: met.map((id) => ({ kind: 'reaction' as const, id, name: lookUp(shelf.reactions, id)?.name ?? id })),
      },
    ]
  }
  const answers = shelf.answers.filter((one) => one.reaction === found.id).map((one) => one.move)
  const to = shelf.moves.filter(({ tries }) => tries?.reactions?.[found.id]).map(({ id }) => id)
  return [
    { head: t('shelf.weAnswer'), items: moves(answers) },
    { head: t('shelf.theyDoItTo'), items: moves(to) },
  ]
})
const wanted = computed(() => {
  const { id, kind } = props.found
  if (kind === 'move') return { moves: [id], onward: 2 }
  if (kind === 'reaction') return { reactions: [id], moves: sure(links.value[0]).items.map((one) => one.id) }
  return { positions: [id], moves: sure(links.value[0]).items.map((one) => one.id) }
})
</script>

<template>
  <article v-if="record" class="entry">
    <header>
      <PositionFigure v-if="place" class="picture" :chart="shelf" :position="place" />
      <h2>{{ record.name }}</h2>
      <p v-if="record.aliases?.length" class="muted small">
        {{ t('shelf.alsoAliases', { aliases: record.aliases.join(', ') }) }}
      </p>
      <p v-if="move" class="small">
        <el-button link @click="emit('open', { kind: 'position', id: move.from })">
          {{ placeName(shelf.positions, move.from) }}
        </el-button>
        →
        <el-button v-if="move.to !== 'finish'" link @click="emit('open', { kind: 'position', id: move.to })">
          {{ placeName(shelf.positions, move.to) }}
        </el-button>
        <template v-else>{{ t('common.aFinish') }}</template>
      </p>
      <p v-if="reaction" class="small muted">
        {{ t('common.endsInEndsIn', { endsIn: placeName(shelf.positions, reaction.endsIn) }) }}
      </p>
      <p v-if="record.notes" class="says">{{ record.notes }}</p>
      <CheckMark v-if="record.check" />
      <PrintButton />
    </header>
    <section v-if="hazard" class="caution">
      <HazardBadge :part="hazard.part ?? t('shelf.notSaidYet')" :speed="hazard.speed" />
      <p class="small">{{ hazard.caution }}</p>
      <p v-if="hazard.control" class="small">
        <span class="muted">{{ t('shelf.whoeverAttacksControls') }}</span> {{ hazard.control }}.
      </p>
      <p v-if="hazard.tap" class="small">
        <span class="muted">{{ t('shelf.whoeverDefends') }}</span> {{ hazard.tap }}.
      </p>
      <p v-if="hazard.protect" class="small">
        <span class="muted">{{ t('shelf.keptSafeBy') }}</span> {{ hazard.protect }}.
      </p>
    </section>
    <el-button
      v-if="charts.chart"
      type="primary"
      :disabled="found.kind === 'move' && isThere(found)"
      @click="pull(record.name, wanted)"
    >
      {{
        isThere(found)
          ? found.kind === 'move'
            ? t('shelf.inTheChart')
            : t('shelf.bringInWhatIsMissing')
          : t('shelf.bringItIntoTheChart')
      }}
    </el-button>
    <p v-if="move?.cue">
      <span class="muted">{{ t('shelf.goWhen') }}</span> {{ move.cue }}
    </p>
    <p v-if="move?.reason">
      <span class="muted">{{ t('shelf.ofTenTries') }}</span> {{ tries }}
    </p>
    <p v-if="move?.holdsFirst">
      <span class="muted">{{ t('shelf.weHoldAlready2') }}</span> {{ move.holdsFirst }}
    </p>
    <section v-if="position?.made?.length">
      <h3>{{ t('shelf.whatMakesIt') }}</h3>
      <ul>
        <li v-for="one in position.made" :key="one">{{ one }}</li>
      </ul>
      <p v-if="position.takes" class="small">
        <span class="muted">{{ t('shelf.itTakesFromThem') }}</span> {{ position.takes }}
      </p>
      <p v-if="position.leaves" class="small">
        <span class="muted">{{ t('shelf.itLeaves') }}</span> {{ position.leaves }}
      </p>
    </section>
    <OtherChair v-if="position" :shelf="shelf" :position="position.id" @open="emit('open', $event)" />
    <ol v-if="move?.checkpoints?.length">
      <li v-for="(one, i) in move.checkpoints" :key="one.id">
        <b>{{ i + 1 }}</b>
        <div>
          {{ one.text }}
          <p v-if="one.until" class="small until">{{ one.until }}</p>
        </div>
      </li>
    </ol>
    <SymptomTable v-if="move" :move="move" />
    <PrincipleList :governing="governing" />
    <p v-if="reaction?.opens">
      <span class="muted">{{ t('shelf.itOpens') }}</span> {{ reaction.opens }}
    </p>
    <p v-if="reaction?.common" class="small">
      <span class="muted">{{ t('shelf.howOften') }}</span> {{ reaction.common }}
    </p>
    <section v-for="{ head, items } in links" :key="head">
      <template v-if="items.length">
        <h3>{{ head }}</h3>
        <ul>
          <li v-for="one in items" :key="one.id">
            <el-button link :class="one.kind" @click="emit('open', one)">
              {{ one.name }}
            </el-button>
          </li>
        </ul>
      </template>
    </section>
    <p v-for="says in builds" :key="says" class="small">
      <span class="muted">{{ t('common.build') }}</span> {{ says }}
    </p>
    <p v-if="move?.size" class="small">
      <span class="muted">{{ t('common.build') }}</span> {{ move.size }}
    </p>
    <p v-if="move?.ruleNote" class="small">
      <span class="muted">{{ t('shelf.rules') }}</span> {{ move.ruleNote }}
    </p>
  </article>
</template>

<style scoped>
.picture {
  --thumb: 200px;

  float: right;
  margin-left: var(--space-12);
}

.entry {
  display: grid;
  gap: var(--space-12);
}

.link.reaction {
  color: var(--theirs);
}

ol li {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr);
  gap: var(--space-8);
  padding: var(--space-4) 0;
}

ol b {
  color: var(--ours);
  font: var(--weight-strong) var(--type-body) / 1.5 var(--label);
}

.until {
  color: var(--leak);
}

.el-button {
  justify-self: start;
}

.caution {
  padding: var(--space-8) var(--space-12);
  border: 1.5px solid var(--caution);
  border-radius: var(--corner);
  background: var(--caution-soft);
}
</style>
