<script setup lang="ts">
import { Delete } from '@element-plus/icons-vue'
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import IconButton from '../../../components/IconButton.vue'
import InlineText from '../../../components/InlineText.vue'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { named } from '../../../components/options'
import { BUILT_IN_RULES } from '../../../core/chart/rules/builtInRules'
import { lookUp } from '../../../core/chart/lookUp'
import { MOST_CUES, type Bout } from '../../../core/club/bout'
import { removeBout, score, setBout, toggleBout } from '../../../core/club/edits/bouts'
import { clockText, SECOND, spentIn } from '../../../core/club/live/clock'
import { isMinor } from '../../../core/club/person'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { t } from '../../../words/train'

/** A match: its clock, both scores by the points of its rules, three cues in the athlete’s words, what beat us. */
const props = defineProps<{ bout: Bout }>()
const clubs = useClubs()
const charts = useCharts()
const now = useNow({ interval: 250 })
const athlete = computed(() => lookUp(present(clubs.club).people, props.bout.athlete))
const name = computed(() => athlete.value?.name ?? t('train.someone'))
const left = computed(() => props.bout.seconds * SECOND - spentIn(props.bout, now.value.getTime()))
const sets = computed(() => [...(charts.chart?.settings?.ruleSets ?? []), ...BUILT_IN_RULES])
/** What can be scored at once under the rules, the least first; one point where they say nothing. */
const steps = computed(() => {
  const points = Object.values(lookUp(sets.value, props.bout.rules)?.points ?? {})
  return [...new Set([1, ...points])].filter((one) => one > 0).sort((a, b) => a - b)
})
const SIDES = ['ours', 'theirs'] as const

function set<F extends Exclude<keyof Bout, 'id'>>(field: F, value: Bout[F] | undefined) {
  clubs.edit(t('train.changeMatch'), (draft) => setBout(draft, props.bout.id, field, value))
}
const toggle = () => clubs.edit(t('train.clock'), (draft) => toggleBout(draft, props.bout.id, Date.now()))
const add = (side: 'ours' | 'theirs', points: number) =>
  clubs.edit(t('train.scored'), (draft) => score(draft, props.bout.id, side, points))
function setCue(at: number, cue: string) {
  const cues = [...props.bout.cues]
  cues[at] = cue
  set(
    'cues',
    cues.filter((one) => one.trim()),
  )
}
function remove() {
  clubs.edit(t('train.removeTheMatch'), (draft) => removeBout(draft, props.bout.id))
  charts.tell(t('train.theMatchIsRemoved'), 'info', 'undo')
}
</script>

<template>
  <section class="bout" :aria-label="t('train.matchOf', { name })">
    <header>
      <h2>{{ name }}</h2>
      <InlineText
        :value="bout.mat ?? ''"
        :label="t('train.onWhichMat')"
        :placeholder="t('train.onWhichMat')"
        @change="(mat) => set('mat', mat || undefined)"
      />
      <IconButton :icon="Delete" :name="t('train.removeTheMatch')" @click="remove" />
    </header>
    <ol class="cues" :aria-label="t('train.threeCues')">
      <li v-for="i in Math.min(MOST_CUES, bout.cues.length + 1)" :key="i">
        <InlineText
          :value="bout.cues[i - 1] ?? ''"
          :label="t('train.cueN', { n: i })"
          :placeholder="t('train.inTheirOwnWords')"
          @change="(cue) => setCue(i - 1, cue)"
        />
      </li>
    </ol>
    <p class="clock" role="timer" :aria-label="t('train.clock')">{{ clockText(left) }}</p>
    <el-button class="press start" @click="toggle">{{
      bout.since === undefined ? t('train.start') : t('train.pause')
    }}</el-button>
    <div class="scores">
      <section v-for="side in SIDES" :key="side" :aria-label="side === 'ours' ? name : t('train.theOther')">
        <h3>{{ side === 'ours' ? name : t('train.theOther') }}</h3>
        <p class="score">{{ bout[side] }}</p>
        <p class="steps">
          <el-button v-for="one in steps" :key="one" class="press" @click="add(side, one)">+{{ one }}</el-button>
          <el-button class="press" :disabled="!bout[side]" @click="add(side, -1)">−1</el-button>
        </p>
      </section>
    </div>
    <div class="fields">
      <label>
        <span class="label">{{ t('common.rules') }}</span>
        <PickList
          :value="bout.rules"
          :options="named(sets)"
          :placeholder="t('common.none')"
          @change="(rules) => set('rules', rules)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.seconds') }}</span>
        <SteadyInput
          type="number"
          min="10"
          max="3600"
          :value="bout.seconds"
          @change="(event) => set('seconds', numberOf(event))"
        />
      </label>
    </div>
    <p v-if="athlete && !isMinor(athlete)">
      <span class="label">{{ t('train.whoTheyMet') }}</span>
      <InlineText
        :value="bout.opponent ?? ''"
        :label="t('train.whoTheyMet')"
        :placeholder="t('common.none')"
        @change="(who) => set('opponent', who || undefined)"
      />
    </p>
    <p>
      <span class="label">{{ t('train.whatBeatUs') }}</span>
      <InlineText
        :value="bout.beatUs ?? ''"
        :label="t('train.whatBeatUs')"
        :placeholder="t('train.oneLine')"
        @change="(what) => set('beatUs', what || undefined)"
      />
    </p>
  </section>
</template>

<style scoped>
.bout {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  max-width: 760px;
  padding: var(--space-16);
}

header {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--space-12);
  align-items: center;
}

.cues {
  padding-left: var(--space-24);
  font-size: var(--type-head);
  list-style: decimal;
}

.cues li {
  min-height: var(--target);
  padding: var(--space-4) 0;
}

.clock {
  font: var(--weight-strong) var(--type-clock-low) / 1 var(--label);
  text-align: center;
}

.start {
  border-color: var(--ours);
}

.scores {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--space-16);
  text-align: center;
}

.score {
  font: var(--weight-strong) var(--type-figure) / 1.1 var(--label);
}

.steps {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(64px, 1fr));
  gap: var(--space-8);
}

.fields {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: var(--space-12);
}

p > .label {
  display: block;
}
</style>
