<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Chart } from '../../../core/chart/chart'
import type { Spar } from '../../../core/rehearse/spar'
import { clockText, costText, hundred } from '../../../core/say/figureText'
import { sayCard } from '../../../core/say/rehearse'
import { sayCame, sayEnded, sayOption } from '../../../core/say/spar'
import { useCharts } from '../../../stores/charts'
import type { Bout } from './sparring'
import { t } from '../../../words/rehearse'

/** After an exchange: how it ended, and each choice against the best one. `cards`: so many become cards. */
const props = defineProps<{ spar: Spar; chart: Chart; bout: Bout; cards: number }>()
const emit = defineEmits<{ again: []; other: [] }>()
const ended = computed(() => props.spar.ended)
/** Less than this is nothing that one could see. */
const SHOWN = 0.0005
const cost = computed(() => props.spar.choices.reduce((sum, one) => sum + one.cost, 0))
const rows = computed(() =>
  props.spar.choices.map((choice, i) => {
    const { where, happens } = sayCard(props.chart, choice.asked)
    return {
      key: i,
      t: clockText(choice.t),
      what: choice.asked.reaction === undefined && choice.asked.cue === undefined ? where : happens,
      did: sayOption(props.chart, choice.chosen),
      came: sayCame(props.chart, choice.came),
      best: choice.cost >= SHOWN ? sayOption(props.chart, choice.best) : '',
      cost: choice.cost >= SHOWN ? costText(choice.cost) : '',
    }
  }),
)
const charts = useCharts()
const router = useRouter()
const { copy } = useClipboard({ legacy: true })
async function copyLink() {
  const { seed, sharpness } = props.bout
  const { href } = router.resolve({ path: '/rehearse/spar', query: { seed, sharp: sharpness } })
  await copy(new URL(href, location.href).href)
  charts.tell(t('rehearse.linkCopied'))
}
</script>

<template>
  <section v-if="ended" class="over">
    <h1>{{ sayEnded(ended.how) }}</h1>
    <p>
      {{ t('rehearse.worthThen', { worth: hundred(ended.worth), value: hundred(spar.value) }) }}
      <b>{{ cost >= SHOWN ? t('rehearse.choicesCost', { cost: costText(cost) }) : t('rehearse.nothingToRegret') }}</b>
    </p>
    <p v-if="cards">{{ t('rehearse.becomeCards', cards) }}</p>
    <table class="choices">
      <thead>
        <tr>
          <th scope="col">{{ t('rehearse.clock') }}</th>
          <th scope="col">{{ t('rehearse.whatWas') }}</th>
          <th scope="col">{{ t('rehearse.whatYouDid') }}</th>
          <th scope="col">{{ t('rehearse.better') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.key">
          <td>{{ row.t }}</td>
          <th scope="row">{{ row.what }}</th>
          <td>
            {{ row.did }} <span class="muted small">{{ row.came }}</span>
          </td>
          <td :data-better="row.best ? t('rehearse.betterWas') : ''">
            <template v-if="row.best"
              >{{ row.best }} <b class="cost">{{ row.cost }}</b></template
            >
          </td>
        </tr>
      </tbody>
    </table>
    <footer>
      <el-button type="primary" class="press" @click="emit('other')">{{ t('rehearse.another') }}</el-button>
      <el-button class="press" @click="emit('again')">{{ t('rehearse.theSameAgain') }}</el-button>
    </footer>
    <el-button link class="off-paper" @click="copyLink">{{ t('rehearse.linkToThis', { seed: bout.seed }) }}</el-button>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped src="./over.css"></style>
<style scoped>
th,
td {
  text-align: left;
  vertical-align: top;
}

/* On a phone each choice is a block of its own. */
@media (width < 600px) {
  thead {
    display: none;
  }

  .choices,
  tbody,
  tr,
  .choices th,
  .choices td {
    display: block;
    border: 0;
  }

  [data-better]::before {
    content: attr(data-better) ' ';
  }

  tr {
    padding: var(--space-8) 0;
    border-top: 1px solid var(--line);
  }
}

.cost {
  color: var(--leak);
}
</style>
