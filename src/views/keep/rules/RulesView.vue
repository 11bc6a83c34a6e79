<script setup lang="ts">
import { computed, ref } from 'vue'
import { changeText, hundred } from '../../../core/say/figureText'
import { BUILT_IN_RULES } from '../../../core/chart/rules/builtInRules'
import { copyRuleSet } from '../../../core/chart/edits/ruleSets'
import type { RuleSet } from '../../../core/chart/rules/ruleSet'
import { underRules } from '../../../core/game/scenario'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useTrials } from '../../../stores/trials'
import { roundsText, takenOut } from './rules'
import RuleSheet from './RuleSheet.vue'
import { t } from '../../../words'

/** The sets of rules with what the chart is worth under each; one of them in detail. */
const charts = useCharts()
const store = useFigures()
const NONE = ''

const own = computed(() => charts.chart?.settings?.ruleSets ?? [])
const sets = computed(() => [...own.value, ...BUILT_IN_RULES])
const chosen = ref(store.scenario?.rules ?? BUILT_IN_RULES[0]?.id ?? NONE)
const set = computed((): RuleSet | undefined => sets.value.find(({ id }) => id === chosen.value) ?? sets.value[0])
const isOwn = computed(() => own.value.some(({ id }) => id === set.value?.id))

const worths = useTrials(() => {
  const { chart } = charts
  const keys = [NONE, ...sets.value.map(({ id }) => id)]
  if (!chart || !store.figures) return null
  const trials = keys.map((key) => ({ key, chart, instead: underRules(chart, key || null) }))
  return { chart, position: store.figures.start, trials }
})

const rows = computed(() => {
  const free = worths.get(NONE)?.start
  const row = (id: string, name: string, of?: RuleSet) => {
    const worth = worths.get(id)?.start
    const out = of && charts.chart ? takenOut(charts.chart, of).length : 0
    const costs = worth !== undefined && free !== undefined && of ? changeText(worth - free) : ''
    return {
      id,
      name,
      worth,
      out,
      costs,
      rounds: of ? roundsText(of) : '',
      isOwn: own.value.some((one) => one.id === id),
    }
  }
  return [row(NONE, t('common.allIsAllowed')), ...sets.value.map((one) => row(one.id, one.name, one))]
})
const inForce = computed(() => store.scenario?.rules ?? NONE)

function plan(id: string) {
  if (id) chosen.value = id
  store.setScenario({ rules: id || null })
}

function copy(id: string) {
  let made = ''
  charts.edit(t('rules.copyTheRules'), (draft) => void (made = copyRuleSet(draft, id)))
  chosen.value = made
}
</script>

<template>
  <div class="rules">
    <section class="sets" :aria-label="t('rules.setsOfRules')">
      <h1>{{ t('common.rules') }}</h1>
      <p class="muted small">{{ t('rules.whatAnEventAllowsWhatIt') }}</p>
      <ul>
        <li v-for="row in rows" :key="row.id" :class="{ here: row.id === set?.id }">
          <input
            type="radio"
            name="in-force"
            :checked="row.id === inForce"
            :aria-label="t('rules.rowInForce', { row: row.name })"
            :title="t('rules.inForce')"
            @change="plan(row.id)"
          />
          <component
            :is="row.id ? 'button' : 'span'"
            :type="row.id ? 'button' : undefined"
            class="plain row"
            @click="row.id && (chosen = row.id)"
          >
            <span class="name"
              >{{ row.name }}<span v-if="row.isOwn" class="muted small">&nbsp;{{ t('rules.yours') }}</span></span
            >
            <span class="muted small">{{
              [
                row.rounds,
                row.out
                  ? t('rules.movesOut', { moves: t('count.move', row.out) })
                  : row.id
                    ? t('rules.noMoveOut')
                    : t('rules.nothingIsLeftOut'),
              ]
                .filter(Boolean)
                .join(' · ')
            }}</span>
          </component>
          <span class="worth">
            <b>{{ row.worth === undefined ? '…' : hundred(row.worth) }}</b>
            <span v-if="row.costs" class="small muted">{{ row.costs }}</span>
          </span>
        </li>
      </ul>
      <p class="muted small">
        {{ t('rules.theOneWithTheDotIs') }}
      </p>
    </section>
    <RuleSheet v-if="set" :key="set.id" :set="set" :is-own="isOwn" @copy="copy(set.id)" />
  </div>
</template>

<style scoped>
.rules {
  display: grid;
  grid-template-columns: minmax(300px, 400px) minmax(0, 1fr);
  height: 100%;
  overflow: hidden;
}

.sets {
  padding: var(--space-16) var(--space-16) var(--space-32);
  border-right: 1px solid var(--line);
  overflow-y: auto;
}

ul {
  margin: var(--space-12) 0;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--space-12);
  align-items: center;
  padding: 0 var(--space-8);
  border-top: 1px solid var(--line);
}

li.here {
  background: var(--panel);
  box-shadow: inset 4px 0 0 var(--ours);
}

input[type='radio'] {
  width: 18px;
  height: 18px;
  accent-color: var(--ours);
}

.row {
  display: grid;
  padding: var(--space-8) 0;
}

.name {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

.worth {
  display: grid;
  justify-items: end;
  font-family: var(--label);
}

.worth b {
  font: var(--weight-strong) var(--type-head) / 1.1 var(--label);
}

@media (width < 900px) {
  .rules {
    grid-template-columns: minmax(0, 1fr);
    overflow-y: auto;
  }

  .sets {
    padding-bottom: var(--space-16);
    border-right: 0;
    border-bottom: 1px solid var(--line);
    overflow: visible;
  }
}
</style>
