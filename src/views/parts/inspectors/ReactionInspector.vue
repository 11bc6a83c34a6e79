<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { named, worded } from '../../../components/options'
import { END_WORDS } from '../../../core/chart/placeNames'
import { toPositionId } from '../../../core/chart/ids'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { costText, onceIn } from '../../../core/say/figureText'
import NotesField from '../../../components/NotesField.vue'
import SecondsField from '../../../components/SecondsField.vue'
import { setField } from '../../../core/chart/edits/fields'
import { removeReaction } from '../../../core/chart/edits/records'
import type { Move } from '../../../core/chart/move'
import { DEFAULT_REACTION_SECONDS, type Reaction } from '../../../core/chart/reaction'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../figures/AskedFigure.vue'
import { setHolds } from '../../../core/chart/edits/holds'
import HoldLists from './HoldLists.vue'
import { HOLDS_OF_REACTION, type HoldField } from './holdFields'
import { useTokens } from './tokens'
import UsesField from './UsesField.vue'
import { useWorksheet } from './sheet'
import { useRemoving } from '../removing'
import { t } from '../../../words/inspector'

/** A reaction in detail: where it ends, how long it takes, which checkpoint it breaks, what it does to the plan. */
const props = defineProps<{ reaction: Reaction; move?: Move | undefined }>()
const { chart, position, select } = useWorksheet()
const charts = useCharts()
const removing = useRemoving()
const store = useFigures()

const { said } = useTokens(() => props.move?.from)
const met = computed(() => store.met(props.move?.id ?? present(position.value).id, props.reaction.id))
const by = computed(() => chart.value.moves.filter(({ tries }) => tries?.reactions?.[props.reaction.id] !== undefined))
const asked = computed(() => ({
  move: props.move?.id ?? null,
  position: present(position.value).id,
  reaction: props.reaction.id,
}))

function set<F extends keyof Reaction>(label: string, field: F, value: Reaction[F] | undefined) {
  const { id, name } = props.reaction
  charts.edit(t('common.fieldOfName', { field: label, name }), (draft) =>
    setField(draft, 'reactions', id, field, value),
  )
}

function toggleBreak(id: string, isBroken: boolean) {
  const others = (props.reaction.breaks ?? []).filter((one) => one !== id)
  set(t('inspector.brokenCheckpoint'), 'breaks', isBroken ? [...others, id] : others)
}

function setList(field: HoldField['field'], ids: string[]) {
  const { id, name } = props.reaction
  charts.edit(t('inspector.holdsOfName', { name }), (draft) => setHolds(draft, 'reactions', id, field, ids))
}

function remove() {
  const { id, name } = props.reaction
  select(props.move?.id)
  removing({ id, name: t('common.nameEverywhere', { name }) }, (draft) => removeReaction(draft, id))
}
</script>

<template>
  <div class="inspector">
    <header>
      <h2>{{ reaction.name }}</h2>
      <p class="muted small">
        {{ move ? t('inspector.theyDoItToMove', { move: move.name }) : t('inspector.theyDoItWhileWeHold') }}
      </p>
    </header>
    <table v-if="met" class="small">
      <tbody>
        <tr>
          <td>{{ t('inspector.betterOrWorseThanIfNothing') }}</td>
          <td>
            <AskedFigure :value="met.net" form="net" :asked="{ of: 'net', ...asked }" :label="t('inspector.net')" />
          </td>
        </tr>
        <tr>
          <td>{{ t('inspector.worthOnceTheyHaveDoneIt') }}</td>
          <td><AskedFigure :value="met.value" :asked="{ of: 'met', ...asked }" :label="t('common.worth2')" /></td>
        </tr>
        <tr>
          <td>{{ t('inspector.worthIfWeLetItHappen') }}</td>
          <td>
            <AskedFigure
              :value="met.concede"
              :asked="{ of: 'concede', ...asked }"
              :label="t('inspector.worthOfLettingItHappen')"
            />
          </td>
        </tr>
        <tr>
          <td>{{ t('inspector.soOurAnswerSaves') }}</td>
          <td>
            <b>{{ costText(met.saves) }}</b>
          </td>
        </tr>
        <tr>
          <td>{{ t('inspector.howOftenItIsMet') }}</td>
          <td>
            <b>{{ onceIn(met.visits) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <div class="fields">
      <label class="across"
        ><span class="label">{{ t('inspector.endsIn') }}</span>
        <PickList
          :value="reaction.endsIn"
          :options="[...worded(END_WORDS), ...named(chart.positions)]"
          @change="(picked) => set('End', 'endsIn', toPositionId(picked))"
        />
      </label>
      <SecondsField
        :value="reaction.seconds ?? DEFAULT_REACTION_SECONDS"
        @change="(seconds) => set(t('inspector.seconds'), 'seconds', seconds)"
        @refuse="(reason) => charts.tell(reason, 'warning')"
      />
      <UsesField :uses="reaction.uses ?? []" @change="(uses) => set(t('inspector.whatItUses'), 'uses', uses)" />
      <HoldLists :record="reaction" :fields="HOLDS_OF_REACTION" @change="setList" />
      <NotesField :value="reaction.notes" @change="(notes) => set(t('common.notes'), 'notes', notes)" />
    </div>
    <section v-if="move?.checkpoints?.length" :aria-label="t('inspector.whichCheckpointItBreaks')">
      <h3>{{ t('inspector.itWorksWhenThisIsMissing') }}</h3>
      <el-checkbox
        v-for="checkpoint in move.checkpoints"
        :key="checkpoint.id"
        class="check"
        :model-value="reaction.breaks?.includes(checkpoint.id) ?? false"
        @change="(on: boolean) => toggleBreak(checkpoint.id, on)"
      >
        <span>{{ said(checkpoint.text) }}</span></el-checkbox
      >
    </section>
    <p class="muted small">
      {{ by.length ? t('inspector.metByBy', { by: by.map(({ name }) => name).join(', ') }) : '' }}
      <el-button v-if="by.length > 1" text @click="remove">
        {{ t('inspector.removeFromAllMoves', { moves: t('count.move', by.length) }) }}
      </el-button>
    </p>
  </div>
</template>

<style scoped src="./inspector.css"></style>

<style scoped>
td {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

td:last-child {
  padding-left: var(--space-12);
  text-align: right;
  white-space: nowrap;
}

.check {
  display: flex;
  align-items: baseline;
  gap: var(--space-8);
  padding: var(--space-4) 0;
}
</style>
