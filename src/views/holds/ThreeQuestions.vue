<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../core/chart/lookUp'
import { gradeOf, QUESTIONS } from '../../core/pin/pinCheck'
import { capabilityWords } from '../../core/pin/words'
import { useHolds } from './holds'
import LeftBar from './LeftBar.vue'

/** What every pin must see to, answered first: hips, shoulders, face. */
const { chart, check } = useHolds()
const asked = computed(() =>
  QUESTIONS.map(({ ask, capabilities }) => {
    const states = check.value.capabilities.filter(({ capability }) =>
      (capabilities as readonly string[]).includes(capability),
    )
    const open = states.filter(({ left }) => gradeOf(left) === 'open').length
    const shut = states.filter(({ left }) => gradeOf(left) === 'shut').length
    return {
      ask,
      states,
      verdict: open === states.length ? 'free' : shut === states.length ? 'controlled' : 'partly controlled',
    }
  }),
)
const others = computed(() => {
  const known = QUESTIONS.flatMap(({ capabilities }) => capabilities as readonly string[])
  return check.value.capabilities.filter(({ capability }) => !known.includes(capability))
})
const names = (ids: readonly string[]) => ids.map((id) => lookUp(chart.value.holds, id)?.name).join(', ')
</script>

<template>
  <div class="questions">
    <section v-for="{ ask, states, verdict } in asked" :key="ask" class="panel" :aria-label="`Their ${ask}`">
      <h2>
        Their {{ ask }} <span>{{ verdict }}</span>
      </h2>
      <dl>
        <div v-for="{ capability, left, by } in states" :key="capability">
          <dt>{{ capabilityWords(capability) }}</dt>
          <dd><LeftBar :left="left" /></dd>
          <dd v-if="by.length" class="muted small by">{{ names(by) }}</dd>
        </div>
      </dl>
    </section>
    <section v-if="others.length" class="panel" aria-label="What else they could do">
      <h2>And they could</h2>
      <dl>
        <div v-for="{ capability, left, by } in others" :key="capability">
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
  grid-template-columns: repeat(auto-fit, minmax(172px, 1fr));
  gap: 12px;
}

dl {
  display: grid;
  gap: 8px;
  margin: 4px 0 0;
}

dt {
  font-size: 15px;
}

dd {
  margin: 0;
}
</style>

<style scoped src="./holdsPanel.css"></style>
