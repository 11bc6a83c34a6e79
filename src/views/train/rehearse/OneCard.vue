<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { computed, nextTick, ref } from 'vue'
import type { Chart } from '../../../core/chart/chart'
import { lookUp } from '../../../core/chart/lookUp'
import type { Known } from '../../../core/club/rehearsed'
import type { Card } from '../../../core/rehearse/cards'
import { knownBy } from '../../../core/rehearse/schedule'
import { sayBehind, sayCard, sayChoice } from '../../../core/say/rehearse'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import { t } from '../../../words/rehearse'

/** One question: what is seen or what they do, the choices, and then the answer with what must not be broken in it. */
const props = defineProps<{ card: Card; chart: Chart; n: string; isPicked: boolean }>()
const emit = defineEmits<{ answered: [known: Known]; next: []; stop: [] }>()
const began = Date.now()
/** What was chosen; where it was said rather than picked, whether it is shown. */
const chosen = ref<string | null>(null)
const isShown = ref(false)
const go = ref<{ ref?: HTMLElement }>()

const said = computed(() => sayCard(props.chart, props.card.asked))
const nameOf = (id: string) => sayChoice(props.chart, props.card.asked, id)
const position = computed(() => lookUp(props.chart.positions, props.card.asked.position))
const behind = computed(() => sayBehind(props.chart, props.card))
const verdict = computed(() => {
  const what = nameOf(props.card.answer)
  if (chosen.value === null) return what
  return chosen.value === props.card.answer ? t('rehearse.right', { what }) : t('rehearse.wrong', { what })
})
const place = computed(() => {
  const { position: at, move, reaction } = props.card.asked
  return { path: `/worksheet/${at}`, query: { ...(move ? { move } : {}), ...(reaction ? { reaction } : {}) } }
})

async function reveal() {
  isShown.value = true
  await nextTick()
  go.value?.ref?.focus()
}
function choose(id: string) {
  if (isShown.value) return
  chosen.value = id
  emit('answered', knownBy(id === props.card.answer, (Date.now() - began) / 1000))
  void reveal()
}
function judge(known: Known) {
  emit('answered', known)
  emit('next')
}
onKeyStroke(['1', '2', '3', '4'], ({ key }) => {
  const id = props.card.choices[Number(key) - 1]
  if (props.isPicked && id !== undefined) choose(id)
})
</script>

<template>
  <article class="card" :aria-label="n">
    <header>
      <span class="muted">{{ n }}</span>
      <el-button text @click="emit('stop')">{{ t('rehearse.stop') }}</el-button>
    </header>
    <PositionFigure v-if="position" class="picture" :chart="chart" :position="position" />
    <p class="where muted">{{ said.where }}</p>
    <h1 v-if="said.happens">{{ said.happens }}</h1>
    <h1 v-else>{{ said.asks }}</h1>
    <p v-if="said.happens" class="asks">{{ said.asks }}</p>
    <div v-if="isShown" class="behind" role="status">
      <p class="verdict" :class="{ wrong: chosen !== null && chosen !== card.answer }">{{ verdict }}</p>
      <ul>
        <li v-for="line in behind" :key="line">{{ line }}</li>
      </ul>
      <RouterLink class="small" :to="place">{{ t('rehearse.inTheWorksheet') }}</RouterLink>
    </div>
    <footer>
      <ul v-if="isPicked && !isShown" :aria-label="t('rehearse.choices')">
        <li v-for="(id, i) in card.choices" :key="id">
          <el-button class="press" @click="choose(id)"
            ><span class="key muted" aria-hidden="true">{{ i + 1 }}</span> {{ nameOf(id) }}</el-button
          >
        </li>
      </ul>
      <el-button v-else-if="!isShown" ref="go" type="primary" class="press" @click="reveal">{{
        t('rehearse.show')
      }}</el-button>
      <el-button v-else-if="isPicked" ref="go" type="primary" class="press" @click="emit('next')">{{
        t('rehearse.next')
      }}</el-button>
      <div v-else class="two">
        <el-button class="press" @click="judge('again')">{{ t('rehearse.again') }}</el-button>
        <el-button ref="go" type="primary" class="press" @click="judge('good')">{{ t('rehearse.had') }}</el-button>
      </div>
    </footer>
  </article>
</template>

<style scoped src="./asking.css"></style>
<style scoped>
.asks,
.verdict {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

.behind {
  display: grid;
  gap: var(--space-8);
  padding: var(--space-12) var(--space-16);
  border-left: 4px solid var(--trap);
  background: var(--panel);
}

.behind:has(.wrong) {
  border-color: var(--leak);
}

.behind li {
  padding: var(--space-4) 0;
}

.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-8);
}
</style>
