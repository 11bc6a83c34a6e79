<script setup lang="ts">
import { targetOf } from '../../../components/events'
import { sure } from '../../../core/sure'
import { produce } from 'immer'
import { computed, onMounted, ref, watch } from 'vue'
import { changeText } from '../../../core/say/figureText'
import { chooseWay } from '../../../core/chart/edits/ways'
import { lookUp } from '../../../core/chart/lookUp'
import { rulesHere, variantsHere, wayOf } from '../../../core/shelf/decisions'
import { useFigures } from '../../../stores/figures'
import { useShelf } from '../../../stores/shelf'
import { useTrials } from '../../../stores/trials'
import CheckMark from '../../parts/shelf/CheckMark.vue'
import VariantCard from '../../parts/shelf/VariantCard.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

/**
 * What practitioners decide by in this position, held against the chart's own values; and where they do it differently.
 */
const { chart, position } = useWorksheet()
const figures = useFigures()
const store = useShelf()
const isOpen = ref(false)
const onToggle = (event: Event) => (isOpen.value = targetOf(event, HTMLDetailsElement).open)
onMounted(() => void store.load())

const rules = computed(() => {
  if (!store.shelf || !position.value || !figures.figures) return []
  return rulesHere(chart.value, store.shelf, position.value.id, figures.figures)
})
const variants = computed(() =>
  store.shelf && position.value ? variantsHere(chart.value, store.shelf, position.value.id) : [],
)
const now = computed(() => {
  const { figures: found } = figures
  return found && position.value
    ? { start: found.value, position: sure(found.positions[position.value.id]).value }
    : undefined
})
const nameOf = (id: string) => lookUp(chart.value.moves, id)?.name ?? id
const against = computed(() => rules.value.filter(({ compared }) => compared?.says === 'the other way').length)

/** Opens the section when there is a finding. */
watch(
  () => against.value > 0,
  (found) => {
    if (found) isOpen.value = true
  },
  { immediate: true },
)

/** The moves that the ways chosen for other variants set aside. */
const otherWays = (variant: string) =>
  (chart.value.settings?.ways ?? []).filter((way) => way.variant !== variant).flatMap(({ aside }) => aside)

/** Only where at least two ways are charted there is something to compare. */
const worths = useTrials(
  () => {
    const { shelf } = store
    if (!shelf || !position.value || !isOpen.value) return null
    const trials = variants.value.flatMap((variant) =>
      variant.views.flatMap((view) => {
        const way = wayOf(chart.value, shelf, variant, view)
        if (!way.aside.length) return []
        return {
          key: `${variant.id} ${view.id}`,
          chart: produce(chart.value, (draft) => chooseWay(draft, way)),
          instead: { aside: [...otherWays(variant.id), ...way.aside] },
        }
      }),
    )
    return { chart: chart.value, position: position.value.id, trials }
  },
  () => isOpen.value && store.shelf && variants.value.map(({ id }) => id).join(),
)
</script>

<template>
  <details v-if="rules.length || variants.length" class="panel says" :open="isOpen" @toggle="onToggle">
    <summary>
      {{ t('worksheet.rulesOfThumbHere') }} <span class="muted small">{{ t('count.rule', rules.length) }}</span>
      <span v-if="variants.length" class="muted small"
        >&nbsp;{{ t('worksheet.schoolsDifferOnN', { n: variants.length }) }}</span
      >
      <span v-if="against" class="finding"
        >&nbsp;{{ t('worksheet.theNumbersSayOtherwiseOnAgainst', { against }) }}</span
      >
    </summary>
    <p v-if="against" class="muted small">
      {{ t('worksheet.whereTheNumbersSayOtherwiseIt') }}
    </p>
    <ul>
      <li v-for="{ rule, compared } in rules" :key="rule.id">
        <p>
          <span class="muted">{{ rule.when }}: </span>{{ rule.then }}. <CheckMark v-if="rule.check" />
        </p>
        <p class="muted small">{{ rule.because }}.</p>
        <p v-if="compared?.says === 'the other way'" class="finding">
          {{
            t('worksheet.hereTheNumbersSayOtherwiseRejected', {
              rejected: nameOf(compared.rejected),
              by: changeText(-compared.by),
              preferred: nameOf(compared.preferred),
            })
          }}
        </p>
        <p v-else-if="compared" class="small agrees">
          <template v-if="compared.says === 'as the rule'">{{
            t('worksheet.theNumbersAgreePreferredByAgainst', {
              preferred: nameOf(compared.preferred),
              by: changeText(compared.by),
              rejected: nameOf(compared.rejected),
            })
          }}</template>
          <template v-else>{{
            t('worksheet.theNumbersMakeNoDifferenceBetween', {
              preferred: nameOf(compared.preferred),
              rejected: nameOf(compared.rejected),
            })
          }}</template>
        </p>
      </li>
    </ul>
    <section v-if="variants.length" :aria-label="t('worksheet.whereSchoolsDiffer')">
      <h3>{{ t('worksheet.whereSchoolsDiffer') }}</h3>
      <VariantCard
        v-for="variant in variants"
        :key="variant.id"
        :shelf="store.shelf!"
        :variant="variant"
        :worths="worths"
        :now="now"
      />
      <p class="muted small">{{ t('worksheet.theMovesOfTheOtherWays') }}</p>
    </section>
  </details>
</template>

<style scoped>
.says {
  padding: var(--space-12) var(--space-16);
}

summary {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  cursor: pointer;
}

li {
  padding: var(--space-8) 0;
  border-top: 1px solid var(--line);
}

h3 {
  margin: var(--space-8) 0 var(--space-4);
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
  color: var(--ink);
}

.finding {
  color: var(--leak);
}

.agrees {
  color: var(--ours);
}
</style>
