<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { gradeOf, QUESTIONS } from '../../../core/holds/pinCheck'
import { capabilityWords } from '../../../core/holds/limbWords'
import { useHolds } from './holds'
import LeftBar from './LeftBar.vue'
import { t } from '../../../words/holds'

/** What every pin must see to, answered first: hips, shoulders, face. */
const { chart, check } = useHolds()
const asked = computed(() =>
  QUESTIONS.map(({ ask, capabilities }) => {
    const states = check.value.capabilities.filter(({ capability }) => capabilities.includes(capability))
    const open = states.filter(({ left }) => gradeOf(left) === 'open').length
    const shut = states.filter(({ left }) => gradeOf(left) === 'shut').length
    return {
      head: t('common.theirAsk', { ask }),
      states,
      verdict: open === states.length ? 'free' : shut === states.length ? 'controlled' : t('holds.partlyControlled'),
    }
  }),
)
/** What else is used against us or denied by us. */
const others = computed(() => {
  const known = QUESTIONS.flatMap(({ capabilities }) => capabilities)
  return check.value.capabilities.filter(({ capability }) => !known.includes(capability))
})
const panels = computed(() =>
  others.value.length
    ? [...asked.value, { head: t('holds.andTheyCould'), states: others.value, verdict: '' }]
    : asked.value,
)
const names = (ids: readonly string[]) => ids.map((id) => lookUp(chart.value.holds, id)?.name).join(', ')
</script>

<template>
  <div class="questions">
    <section v-for="{ head, states, verdict } in panels" :key="head" class="panel" :aria-label="head">
      <h2>
        {{ head }} <span>{{ verdict }}</span>
      </h2>
      <dl>
        <div v-for="{ capability, left, by } in states" :key="capability">
          <dt>{{ capabilityWords(capability) }}</dt>
          <dd><LeftBar :left="left" /></dd>
          <dd v-if="by.length" class="muted small by">{{ names(by) }}</dd>
        </div>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.questions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(240px, 100%), 1fr));
  gap: var(--space-12);
}

dl {
  display: grid;
  gap: var(--space-8);
  margin: var(--space-4) 0 0;
}

dt {
  font-size: var(--type-body);
}

dd {
  margin: 0;
}
</style>

<style scoped src="./holdsPanel.css"></style>
