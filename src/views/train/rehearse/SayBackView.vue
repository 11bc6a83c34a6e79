<script setup lang="ts">
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { Script } from '../../../core/questions/script'
import { stretchesOf, wordsOf } from '../../../core/say/hidden'
import { sayScript } from '../../../core/say/script'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { hush, sayAloud } from '../../parts/speech'
import { t } from '../../../words/rehearse'

/** The chain, to be said by heart: its words are hidden one by one, and a voice waits where one must know them. */
const charts = useCharts()
const figures = useFigures()
const script = shallowRef<Script | null>(null)
/** What happens six times of ten: so much can be said in two minutes. */
const LENGTH = { share: 0.6, steps: 12 }
watch(
  () => figures.figures,
  async (found) => {
    const start = figures.scenario?.start
    if (found && start) script.value = (await figures.script(start, LENGTH)) || null
  },
  { immediate: true },
)
const told = computed(() =>
  charts.chart && script.value
    ? sayScript(charts.chart, script.value).map(({ number, position, says }) => ({
        head: `${number}. ${lookUp(charts.chart?.positions, position)?.name ?? position}`,
        says: says.join(' '),
      }))
    : [],
)
const words = computed(() => wordsOf(told.value.map(({ says }) => says)))
const count = computed(() => words.value.flat().filter(({ text }) => text).length)
/** How many of a hundred words are hidden. */
const percent = ref(0)
const hidden = computed(() => Math.round((percent.value / 100) * count.value))
/** Words that were looked at although they are hidden, by their turn. */
const shown = ref(new Set<number>())
watch(percent, () => shown.value.clear())
const isHidden = (at: number) => at < hidden.value && !shown.value.has(at)
const start = computed(() => lookUp(charts.chart?.positions, figures.scenario?.start)?.name ?? '')

/** Which paragraph is being read; null: none is. */
const reading = ref<number | null>(null)
/** So long the voice waits for each hidden word, in milliseconds. */
const WAITS = 700
let turn = 0
const rest = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
async function read() {
  const mine = ++turn
  for (const [i, paragraph] of words.value.entries()) {
    reading.value = i
    for (const { text, words: n, isHidden: waits } of stretchesOf(paragraph, hidden.value)) {
      if (waits) await rest(WAITS * n)
      if (mine !== turn) return
      await sayAloud(text)
      if (mine !== turn) return
    }
  }
  reading.value = null
}
function stop() {
  turn++
  reading.value = null
  hush()
}
onScopeDispose(stop)
</script>

<template>
  <section class="back" :aria-label="t('rehearse.sayItBack')">
    <h1>{{ t('rehearse.sayItBack') }}</h1>
    <p v-if="start">{{ t('rehearse.whatSayingBackIs', { start }) }}</p>
    <p v-if="!told.length" class="muted">{{ t('rehearse.noQuestions') }}</p>
    <template v-else>
      <div class="tools">
        <label>
          <span class="label">{{ t('rehearse.hiddenWords', { n: hidden, of: count }) }}</span>
          <el-slider
            v-model="percent"
            :step="10"
            :max="100"
            :aria-label="t('rehearse.hiddenWords', { n: hidden, of: count })"
          />
        </label>
        <div class="buttons">
          <el-button :disabled="percent >= 100" @click="percent = Math.min(100, percent + 10)">{{
            t('rehearse.hideMore')
          }}</el-button>
          <el-button v-if="reading === null" type="primary" @click="read">{{ t('rehearse.readAndWait') }}</el-button>
          <el-button v-else type="primary" @click="stop">{{ t('rehearse.stop') }}</el-button>
        </div>
      </div>
      <article v-for="({ head }, p) in told" :key="p" :class="{ here: reading === p }">
        <h2>{{ head }}</h2>
        <p>
          <template v-for="(word, i) in words[p]" :key="i"
            >{{ word.before
            }}<button
              v-if="isHidden(word.at)"
              type="button"
              class="blank"
              :aria-label="t('rehearse.lookAtTheWord')"
              @click="shown.add(word.at)"
            >
              {{ '_'.repeat(word.text.length) }}</button
            ><template v-else>{{ word.text }}</template></template
          >
        </p>
      </article>
    </template>
  </section>
</template>

<style scoped>
.back {
  display: grid;
  gap: var(--space-16);
}

.tools {
  position: sticky;
  top: 0;
  z-index: 1;
  display: grid;
  gap: var(--space-8);
  padding: var(--space-8) 0;
  background: var(--paper);
}

.label {
  display: block;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}

article p {
  font-size: var(--type-lead);
  line-height: 1.7;
}

.here {
  padding-left: var(--space-12);
  border-left: 4px solid var(--ours);
}

.blank {
  padding: 0;
  border: 0;
  background: var(--track);
  color: var(--track);
  font: inherit;
  cursor: pointer;
}
</style>
