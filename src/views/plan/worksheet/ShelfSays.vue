<script setup lang="ts">
import { targetOf } from '../../../components/events'
import { sure } from '../../../core/sure'
import { produce } from 'immer'
import { computed, onMounted, ref, watch } from 'vue'
import { changeText, counted } from '../../../core/say/figureText'
import { chooseWay } from '../../../core/chart/edits/ways'
import { lookUp } from '../../../core/chart/lookUp'
import { rulesHere, variantsHere, wayOf } from '../../../core/shelf/decisions'
import { useFigures } from '../../../stores/figures'
import { useShelf } from '../../../stores/shelf'
import { useTrials } from '../../../stores/trials'
import CheckMark from '../../parts/shelf/CheckMark.vue'
import VariantCard from '../../parts/shelf/VariantCard.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

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
      Rules of thumb here <span class="muted small">{{ counted(rules.length, 'rule') }}</span>
      <span v-if="variants.length" class="muted small"> · schools differ on {{ variants.length }}</span>
      <span v-if="against" class="finding"> · the numbers say otherwise on {{ against }}</span>
    </summary>
    <p v-if="against" class="muted small">
      Where the numbers say otherwise it is a finding, not an error: look at the tries, or at what this chart knows and
      the rule does not.
    </p>
    <ul>
      <li v-for="{ rule, compared } in rules" :key="rule.id">
        <p>
          <span class="muted">{{ rule.when }}: </span>{{ rule.then }}. <CheckMark v-if="rule.check" />
        </p>
        <p class="muted small">{{ rule.because }}.</p>
        <p v-if="compared?.says === 'the other way'" class="finding">
          Here the numbers say otherwise: {{ nameOf(compared.rejected) }} is worth
          {{ changeText(-compared.by) }} against {{ nameOf(compared.preferred) }}.
        </p>
        <p v-else-if="compared" class="small agrees">
          <template v-if="compared.says === 'as the rule'"
            >The numbers agree: {{ nameOf(compared.preferred) }} {{ changeText(compared.by) }} against
            {{ nameOf(compared.rejected) }}.</template
          >
          <template v-else
            >The numbers make no difference between {{ nameOf(compared.preferred) }} and
            {{ nameOf(compared.rejected) }}.</template
          >
        </p>
      </li>
    </ul>
    <section v-if="variants.length" aria-label="Where schools differ">
      <h3>Where schools differ</h3>
      <VariantCard
        v-for="variant in variants"
        :key="variant.id"
        :shelf="store.shelf!"
        :variant="variant"
        :worths="worths"
        :now="now"
      />
      <p class="muted small">The moves of the other ways are set aside: they stay charted and are not tried.</p>
    </section>
  </details>
</template>

<style scoped>
.says {
  padding: 10px 14px;
}

summary {
  font: 700 18px/1.3 var(--label);
  cursor: pointer;
}

li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

h3 {
  margin: 8px 0 4px;
  font: 700 17px/1.3 var(--label);
  color: var(--ink);
}

.finding {
  color: var(--leak);
}

.agrees {
  color: var(--ours);
}
</style>
