<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { I18nT } from 'vue-i18n'
import { numberOf, valueOf } from '../../../components/events'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { clockRefusal, readClock } from '../../../core/say/figureText'
import { timeText } from '../../../stores/settings'
import InlineText from '../../../components/InlineText.vue'
import NotesField from '../../../components/NotesField.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { removeRuleSet } from '../../../core/chart/edits/ruleSets'
import type { RuleSet, StrikeChange } from '../../../core/chart/rules/ruleSet'
import { exposedBy, strikeChangesOf } from '../../../core/chart/rules/ruleSets'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import RuleTags from './RuleTags.vue'
import StruckTable from './StruckTable.vue'
import ScoredTable from './ScoredTable.vue'
import ScoringFields from './ScoringFields.vue'
import { useRuleEdits } from './ruleEdits'
import { takenOut } from './rules'
import { useRemoving } from '../../parts/removing'
import PrintButton from '../../parts/print/PrintButton.vue'
import { t } from '../../../words/rules'

/** One set of rules: rounds, what scores, what is out and what strikes change. The chart's own can be changed. */
const props = defineProps<{ set: RuleSet; isOwn: boolean }>()
const emit = defineEmits<{ copy: [] }>()
const charts = useCharts()
const removing = useRemoving()
const figures = useFigures()

const isInForce = computed(() => figures.rules?.id === props.set.id)
const out = computed(() => takenOut(present(charts.chart), props.set))
/** "3 reactions and 2 moves of ours", of what strikes change. */
function struck(uses: string): string {
  const { reactions, moves, positions } = present(charts.chart)
  const { strikes = [], struck = [] } = props.set
  const isIt = (change: StrikeChange) => change.uses === uses
  const met = reactions.filter((one) => strikeChangesOf(one, strikes).some(isIt)).length
  const exposed = moves.filter((one) => {
    const from = lookUp(positions, one.from)
    return from && exposedBy(one, from, { strikes, struck }).some(isIt)
  }).length
  return t('rules.reactionsAndMoves', { reactions: t('count.reaction', met), moves: t('count.move', exposed) })
}

const change = useRuleEdits(() => props.set)

const setClothes = (said: string) => change(t('rules.clothes'), 'gi', said ? said === 'gi' : undefined)

function setLength(event: Event) {
  const seconds = readClock(valueOf(event))
  if (!seconds) return void charts.tell(`${clockRefusal(valueOf(event), t('rules.600Or360'))}.`)
  change(t('common.rounds'), 'rounds', { count: props.set.rounds?.count ?? 1, seconds })
}

function remove() {
  const { id } = props.set
  removing(props.set, (draft) => removeRuleSet(draft, id))
}
</script>

<template>
  <section class="sheet" :aria-label="set.name">
    <header>
      <h2>
        <InlineText
          v-if="isOwn"
          :value="set.name"
          :label="t('rules.nameOfTheRules')"
          required
          @change="(name) => change(t('common.rename'), 'name', name)"
        />
        <template v-else>{{ set.name }}</template>
      </h2>
      <span class="muted">{{
        [set.gi === undefined ? '' : set.gi ? 'gi' : 'no-gi', set.level].filter(Boolean).join(' · ')
      }}</span>
      <span class="tools">
        <el-button
          v-if="!isInForce"
          type="primary"
          @click="figures.setScenario({ rules: set.id, ...(set.rounds ? { seconds: set.rounds.seconds } : {}) })"
        >
          {{ t('rules.planUnderThese') }}
        </el-button>
        <el-button @click="emit('copy')">
          {{ isOwn ? t('rules.copy') : t('rules.copyToChange') }}
        </el-button>
        <el-button v-if="isOwn" @click="remove">{{ t('common.remove') }}</el-button>
        <PrintButton />
      </span>
    </header>
    <p v-if="!isOwn && set.notes" class="notes">{{ set.notes }}</p>
    <NotesField
      v-if="isOwn"
      :value="set.notes ?? ''"
      @change="(notes: string) => change(t('common.notes'), 'notes', notes)"
    />
    <div class="blocks">
      <div>
        <fieldset :disabled="!isOwn">
          <legend>{{ t('common.rounds') }}</legend>
          <label>
            <I18nT keypath="rules.countOfLength" scope="global"
              ><template #count
                ><SteadyInput
                  class="tiny"
                  :value="set.rounds?.count ?? ''"
                  :aria-label="t('common.rounds')"
                  @change="
                    change(t('common.rounds'), 'rounds', {
                      count: numberOf($event),
                      seconds: set.rounds?.seconds ?? 300,
                    })
                  " /></template
              ><template #length
                ><SteadyInput
                  class="short"
                  :value="set.rounds ? timeText(set.rounds.seconds) : ''"
                  :aria-label="t('rules.lengthOfARound')"
                  @change="setLength" /></template
            ></I18nT>
          </label>
          <div v-if="isOwn" class="choices">
            <PickList
              :aria-label="t('rules.clothes')"
              :value="set.gi === undefined ? '' : set.gi ? 'gi' : 'no-gi'"
              :options="[
                { value: '', label: t('rules.giOrNoGi') },
                { value: 'gi', label: t('rules.gi') },
                { value: 'no-gi', label: t('rules.noGi') },
              ]"
              @change="(picked) => setClothes(picked)"
            />
            <InlineText
              :value="set.level ?? ''"
              :label="t('rules.level')"
              :placeholder="t('rules.forWhom')"
              @change="(level) => change(t('rules.level'), 'level', level)"
            />
          </div>
        </fieldset>
        <ScoredTable v-if="isInForce" class="scored" />
      </div>
      <ScoringFields :set="set" :is-own="isOwn" />
      <RuleTags class="wide" :set="set" :is-own="isOwn" />
    </div>
    <section v-if="out.length" :aria-label="t('rules.outOfThisChart')">
      <h3>{{ t('rules.outOfThisChart') }}</h3>
      <p class="out">
        <RouterLink
          v-for="move in out"
          :key="move.id"
          :to="{ path: `/worksheet/${move.from}`, query: { move: move.id } }"
          >{{ move.name }}</RouterLink
        >
      </p>
    </section>
    <section v-if="set.strikes?.length" :aria-label="t('rules.whatStrikesChange')">
      <h3>{{ t('rules.whatStrikesChange') }}</h3>
      <ul>
        <li v-for="one in set.strikes" :key="one.uses">
          {{ one.says }}
          <span class="muted small">{{
            t('rules.leftOfWhatNeedsItIs', {
              left: Math.round(one.left * 100),
              n: struck(one.uses),
            })
          }}</span>
        </li>
      </ul>
    </section>
    <StruckTable
      :set="set"
      :is-own="isOwn"
      @change="(struck) => change(t('rules.whatBeingHitCosts'), 'struck', struck)"
    />
  </section>
</template>

<style scoped src="./ruleFields.css"></style>
<style scoped>
.sheet {
  padding: var(--space-16) var(--space-16) var(--space-32);
}

header {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--space-8) var(--space-12);
}

.tools {
  display: inline-flex;
  gap: var(--space-8);
  margin-left: auto;
}

.notes {
  margin-top: var(--space-4);
  color: var(--caution);
}

.blocks {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--space-12) var(--space-24);
  align-items: start;
  margin: var(--space-12) 0;
}

.wide {
  grid-column: 1 / -1;
}

.scored {
  margin-top: var(--space-16);
}

.tiny {
  width: 54px;
  text-align: right;
}

.short {
  width: 72px;
}

.choices {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
  margin-top: var(--space-8);
}

.choices .el-select {
  width: 160px;
}

.out {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
}

li {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}

@media (width < 620px) {
  .blocks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
