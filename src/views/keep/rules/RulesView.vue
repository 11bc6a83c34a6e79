<script setup lang="ts">
import { computed, ref } from 'vue'
import { changeText } from '../../../core/say/figureText'
import { BUILT_IN_RULES } from '../../../core/chart/rules/builtInRules'
import { copyRuleSet } from '../../../core/chart/edits/ruleSets'
import type { RuleSet } from '../../../core/chart/rules/ruleSet'
import { underRules } from '../../../core/game/scenario'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useTrials } from '../../../stores/trials'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import { roundsText, takenOut } from './rules'
import RuleSheet from './RuleSheet.vue'
import SetList, { type SetRow } from './SetList.vue'
import { t } from '../../../words/rules'

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
  const row = (id: string, name: string, of?: RuleSet): SetRow => {
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
  <ListAndSheet class="rules" :list="t('rules.setsOfRules')" first="list" headed="list">
    <template #list>
      <SetList :rows="rows" :here="set?.id" :in-force="inForce" @plan="plan" @choose="(id) => (chosen = id)" />
    </template>
    <RuleSheet v-if="set" :key="set.id" :set="set" :is-own="isOwn" @copy="copy(set.id)" />
  </ListAndSheet>
</template>

<style scoped>
.rules {
  --list-width: minmax(300px, 400px);
}
</style>
