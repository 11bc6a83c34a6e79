<script setup lang="ts">
import { computed } from 'vue'
import { changeText } from '../../../core/say/figureText'
import { chooseWay, keepAllWays } from '../../../core/chart/edits/ways'
import type { Worths } from '../../../core/insight/figures'
import { wayOf } from '../../../core/shelf/decisions'
import type { Shelf } from '../../../core/shelf/shelf'
import type { Variant, View } from '../../../core/shelf/shelfRecords'
import { useCharts } from '../../../stores/charts'
import CheckMark from './CheckMark.vue'
import { t } from '../../../words/shelf'

/** A question on which schools differ, each way with its reason; the coach chooses one, or keeps them all. */
const props = defineProps<{
  shelf: Shelf
  variant: Variant
  /**
   * What the start would be worth with one way only, against now, by `variant view`; absent where it is not tried out.
   */
  worths?: Map<string, Worths | null>
  now?: { start: number; position: number } | undefined
}>()
const charts = useCharts()
const chosen = computed(() => charts.chart?.settings?.ways?.find((way) => way.variant === props.variant.id)?.view)

function choose(view: View) {
  charts.edit(t('shelf.chooseAWay'), (draft) => chooseWay(draft, wayOf(draft, props.shelf, props.variant, view)))
}
const keepAll = () => charts.edit(t('shelf.keepAllWays'), (draft) => keepAllWays(draft, props.variant.id))

const worthOf = (view: View) => {
  const worth = props.worths?.get(`${props.variant.id} ${view.id}`)
  if (!worth || !props.now) return ''
  const [start, here] = [worth.start - props.now.start, worth.position - props.now.position].map(changeText)
  return t('shelf.onlyThisHereHereStart', { here, start })
}
</script>

<template>
  <fieldset>
    <legend>{{ variant.question }} <CheckMark v-if="variant.check" /></legend>
    <div v-for="view in variant.views" :key="view.id" class="view" :class="{ ours: chosen === view.id }">
      <p>
        {{ view.says }}
        <span v-if="view.because" class="muted small">{{ view.because }}</span>
      </p>
      <span v-if="worthOf(view)" class="small worth" :data-tip="t('shelf.whatTheStartWouldBeWorth')">{{
        worthOf(view)
      }}</span>
      <el-button
        v-if="charts.chart"
        text
        :aria-pressed="chosen === view.id"
        :aria-label="t('shelf.ourWayView', { view: view.says })"
        @click="chosen === view.id ? keepAll() : choose(view)"
      >
        {{ chosen === view.id ? t('shelf.ourWay') : t('shelf.choose') }}
      </el-button>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  margin: 0;
  padding: var(--space-8) 0 var(--space-8);
  border: 0;
  border-top: 1px solid var(--line);
}

legend {
  float: left;
  width: 100%;
  padding: 0;
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
}

.view {
  clear: both;
  display: flex;
  gap: var(--space-12);
  align-items: start;
  padding: var(--space-4) 0 var(--space-4) var(--space-12);
  border-left: 3px solid var(--line);
}

.view.ours {
  border-color: var(--ours);
}

.view p {
  flex: 1;
  min-width: 0;
}

.view p .small {
  display: block;
}

.worth {
  white-space: nowrap;
  font-family: var(--label);
}

[aria-pressed='true'] {
  color: var(--ours);
  font-weight: var(--weight-strong);
}
</style>
