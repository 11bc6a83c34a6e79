<script setup lang="ts">
import { present } from '../../../core/sure'
import { setForbidden, setRule } from '../../../core/chart/edits/ruleSets'
import { RULE_TAGS, type RuleSet } from '../../../core/chart/rules/ruleSet'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/rules'

/** What a set of rules does not allow, with how many moves of the chart that takes out. */
const props = defineProps<{ set: RuleSet; isOwn: boolean }>()
const charts = useCharts()
const movesWith = (tag: string) => present(charts.chart).moves.filter(({ tags }) => tags?.includes(tag)).length

function forbid(tag: string, isForbidden: boolean) {
  const { id, name } = props.set
  charts.edit(`${isForbidden ? t('rules.forbid') : t('rules.allow')}, ${name}`, (draft) =>
    setForbidden(draft, id, tag, isForbidden),
  )
}
function forbidFinishes(isForbidden: boolean) {
  const { id, name } = props.set
  charts.edit(t('rules.finishesName', { name }), (draft) => setRule(draft, id, 'noFinish', isForbidden || undefined))
}
</script>

<template>
  <fieldset :disabled="!isOwn">
    <legend>{{ t('rules.whatIsOut') }}</legend>
    <el-checkbox :disabled="!isOwn" :model-value="set.noFinish ?? false" @change="(on: boolean) => forbidFinishes(on)">
      <span>{{ t('rules.everyFinishControlIsTheGoal') }}</span></el-checkbox
    >
    <el-checkbox
      v-for="(name, tag) in RULE_TAGS"
      :key="tag"
      :disabled="!isOwn"
      :model-value="set.forbids.includes(tag) ?? false"
      @change="(on: boolean) => forbid(tag, on)"
    >
      <span
        >{{ name
        }}<span v-if="movesWith(tag)" class="muted small"
          >&nbsp;{{ t('rules.movesHere', { moves: t('count.move', movesWith(tag)) }) }}</span
        ></span
      ></el-checkbox
    >
  </fieldset>
</template>

<style scoped src="./ruleFields.css"></style>
<style scoped>
fieldset {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: var(--space-4) var(--space-12);
}

label {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  min-height: var(--control);
}
</style>
