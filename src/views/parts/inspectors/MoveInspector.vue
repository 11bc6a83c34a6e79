<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { named, worded } from '../../../components/options'
import { END_WORDS } from '../../../core/chart/placeNames'
import { toPositionId } from '../../../core/chart/ids'
import { valueOf } from '../../../components/events'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import InlineText from '../../../components/InlineText.vue'
import NotesField from '../../../components/NotesField.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import SecondsField from '../../../components/SecondsField.vue'
import { setOrigin } from '../../../core/chart/edits/cues'
import { setField } from '../../../core/chart/edits/fields'
import { setHolds } from '../../../core/chart/edits/holds'
import { setKind, setLanding, setReply } from '../../../core/chart/edits/records'
import { buildsOf } from '../../../core/chart/fit'
import { isGuess } from '../../../core/chart/guesses'
import { holder } from '../../../core/chart/hold'
import { DEFAULT_MOVE_SECONDS, type Move } from '../../../core/chart/move'
import { RULE_TAGS, type RuleTag } from '../../../core/chart/rules/ruleSet'
import { KINDS } from '../../../core/chart/words'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import CheckpointList from './CheckpointList.vue'
import GoverningList from './GoverningList.vue'
import HazardNote from './HazardNote.vue'
import HoldLists from './HoldLists.vue'
import ProbeNote from './ProbeNote.vue'
import { HOLDS_OF_MOVE, type HoldField } from './holdFields'
import UsesField from './UsesField.vue'
import TurnsField from './TurnsField.vue'
import { useWorksheet } from './sheet'
import { t } from '../../../words/inspector'

/** A move in detail: where it leads, how long it takes, what must be true in which order, and its danger. */
const props = defineProps<{ move: Move }>()
const { chart, nameOf } = useWorksheet()
const charts = useCharts()
const figures = useFigures()
const router = useRouter()
const stalls = computed(() => props.move.stallsIn ?? '')

function set<F extends keyof Move>(label: string, field: F, value: Move[F] | undefined) {
  const { id, name } = props.move
  charts.edit(t('common.fieldOfName', { field: label, name }), (draft) => setField(draft, 'moves', id, field, value))
}

function pickKind(picked: string) {
  const { id, name } = props.move
  const kind = KINDS.find((one) => one === picked)
  if (kind) charts.edit(t('inspector.kindOfName', { name }), (draft) => setKind(draft, id, kind))
}
const setStall = (place: string) => set(t('inspector.stalling'), 'stallsIn', place ? toPositionId(place) : undefined)

function setOnlyReply(isReply: boolean) {
  const { id, name } = props.move
  charts.edit(isReply ? t('inspector.nameOnlyInReply', { name }) : t('common.nameTriedColdToo', { name }), (draft) =>
    setReply(draft, id, isReply),
  )
}

function setSlips(event: Event) {
  const value = valueOf(event)
  set(t('common.slips'), 'slips', value === '' ? undefined : Number(value) / 100)
}

function toggleTag(tag: string) {
  const tags = props.move.tags ?? []
  set(
    t('inspector.whatItIsForTheRules'),
    'tags',
    tags.includes(tag) ? tags.filter((one) => one !== tag) : [...tags, tag],
  )
}

/** Only their holds take from what we can do. */
const theyHold = computed(() => chart.value.holds?.some((hold) => holder(hold) === 'theirs'))

function setList(field: HoldField['field'], ids: string[]) {
  const { id, name } = props.move
  charts.edit(t('inspector.holdsOfName', { name }), (draft) => setHolds(draft, 'moves', id, field, ids))
}

async function setFrom(from: string) {
  const { id, name } = props.move
  charts.edit(t('common.moveName', { name }), (draft) => setOrigin(draft, id, toPositionId(from)))
  await router.push({ path: `/worksheet/${from}`, query: { move: id } })
}

function setTo(to: string) {
  const { id, name } = props.move
  charts.edit(t('inspector.landingOfName', { name }), (draft) => setLanding(draft, id, toPositionId(to)))
}

function setAliases(text: string) {
  const aliases = text.split(',').map((alias) => alias.trim())
  set(t('inspector.otherNames'), 'aliases', aliases.filter(Boolean))
}
</script>

<template>
  <div class="inspector">
    <header>
      <h2>{{ move.name }}</h2>
      <p class="muted small">{{ t('common.fromFrom', { from: nameOf(move.from) }) }}</p>
    </header>
    <CheckpointList :move="move" />
    <HazardNote :move="move" @set="(hazard) => set('Caution', 'hazard', hazard)" />
    <div class="fields">
      <label class="across"
        ><span class="label">{{ t('inspector.triedFrom') }}</span>
        <PickList :value="move.from" :options="named(chart.positions)" @change="(picked) => setFrom(picked)" />
      </label>
      <label class="across"
        ><span class="label">{{ t('inspector.landsIn') }}</span>
        <PickList
          :value="move.to"
          :options="[{ value: 'finish', label: t('common.aFinish') }, ...named(chart.positions)]"
          @change="(picked) => setTo(picked)"
        />
      </label>
      <label class="across"
        ><span class="label">{{ t('inspector.ifNothingComesOfIt') }}</span>
        <PickList
          :value="stalls"
          :options="[
            { value: '', label: t('inspector.weAreStillHere') },
            ...worded(END_WORDS),
            ...named(chart.positions.filter((one) => one.id !== move.from)),
          ]"
          @change="(picked) => setStall(picked)"
        />
      </label>
      <el-checkbox class="across tick" :model-value="move.reply ?? false" @change="setOnlyReply(!move.reply)">
        {{ t('inspector.onlyInReplyNeverTriedWithout') }}</el-checkbox
      >
      <label v-if="!move.reply"
        ><span class="label">{{ t('inspector.slipsOf100FailedTries') }}</span>
        <SteadyInput
          type="number"
          min="0"
          max="100"
          :placeholder="t('inspector.asUsual')"
          :value="move.slips === undefined ? undefined : Math.round(move.slips * 100)"
          @change="setSlips"
        />
      </label>
      <label
        ><span class="label">{{ t('inspector.kind') }}</span>
        <PickList
          :value="move.kind"
          :options="KINDS.map((kind) => ({ value: kind, label: kind }))"
          @change="(picked) => pickKind(picked)"
        />
      </label>
      <SecondsField
        :value="move.seconds ?? DEFAULT_MOVE_SECONDS"
        :guessed="isGuess(move, 'seconds')"
        @change="(seconds) => set(t('inspector.seconds'), 'seconds', seconds)"
        @refuse="(reason) => charts.tell(reason, 'warning')"
      />
      <div class="across">
        <span class="label">{{ t('inspector.otherNames') }}</span>
        <InlineText
          :value="(move.aliases ?? []).join(', ')"
          :label="t('inspector.otherNamesWithCommas')"
          :placeholder="t('common.none')"
          @change="setAliases"
        />
      </div>
      <UsesField
        v-if="theyHold"
        :who="t('common.we')"
        :uses="move.uses ?? []"
        @change="(uses) => set(t('inspector.whatItUses'), 'uses', uses)"
      />
      <HoldLists :record="move" :fields="HOLDS_OF_MOVE" @change="setList" />
      <TurnsField :move="move" />
      <details class="across">
        <summary class="label">
          {{ t('inspector.forTheRules') }}
          <span>{{
            (move.tags ?? []).map((tag) => RULE_TAGS[tag as RuleTag] ?? tag).join(', ') ||
            t('inspector.nothingInParticular')
          }}</span>
        </summary>
        <el-checkbox
          v-for="(says, tag) in RULE_TAGS"
          :key="tag"
          class="tag"
          :model-value="move.tags?.includes(tag) ?? false"
          @change="toggleTag(tag)"
        >
          {{ says }}</el-checkbox
        >
      </details>
      <p v-for="says in buildsOf(move.fit)" :key="says" class="across small">
        <span class="label">{{ t('common.build') }}</span> {{ says }}
      </p>
      <ProbeNote v-if="figures.scenario?.probe" :move="move" />
      <NotesField :value="move.notes" @change="(notes) => set(t('common.notes'), 'notes', notes)" />
    </div>
    <GoverningList :move="move" />
  </div>
</template>

<style scoped src="./inspector.css"></style>

<style scoped>
summary span {
  color: var(--ink);
}

.tag {
  display: block;
  font-size: var(--type-body);
}
</style>
