<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import IconButton from '../../components/IconButton.vue'
import { computed, ref, watch } from 'vue'
import { present } from '../../core/sure'
import { useCharts } from '../../stores/charts'
import { downloadChart } from '../parts/files/importing'
import { downloadJson } from '../parts/files/download'
import { t } from '../../words'

/** What is not kept, why, and what the coach can do so that it is not lost. */
const charts = useCharts()
const isRead = ref(false)
watch(
  () => charts.trouble,
  () => (isRead.value = false),
)

const failure = computed(() => (charts.saving.state === 'failed' && !charts.trouble ? charts.saving.message : ''))
/** Charts that were left with something that is not kept. */
const left = computed(() => charts.unsaved.filter(({ id }) => id !== charts.chart?.id))

const why = ({ saving }: (typeof left.value)[number]) => (saving.state === 'failed' ? `: ${saving.message}` : '')

const exportChart = () => charts.chart && downloadChart(charts.exportText(), charts.chart.id)
const exportAll = async () => downloadJson(await charts.everythingKept(), 'ataque-as-kept.json')
const reload = () => location.reload()
</script>

<template>
  <div v-if="charts.trouble && !isRead" class="news warning" role="alert">
    <span v-if="charts.trouble.trouble === 'missing'">
      {{ t('frame.nothingCanBeKeptTroubleWhat', { trouble: charts.trouble.message }) }}
    </span>
    <span v-else>{{ t('frame.whatIsKeptCannotBeOpened', { trouble: charts.trouble.message }) }}</span>
    <el-button v-if="charts.trouble.trouble === 'newer'" @click="reload()">
      {{ t('frame.reload') }}
    </el-button>
    <el-button v-else @click="charts.retry()">{{ t('frame.tryAgain') }}</el-button>
    <el-button v-if="charts.trouble.trouble === 'newer'" @click="exportAll()">
      {{ t('frame.saveAllThatIsKeptAs') }}
    </el-button>
    <el-button v-if="charts.chart" @click="exportChart()">
      {{ t('frame.exportThisChart') }}
    </el-button>
    <IconButton :icon="Close" :name="t('frame.close')" @click="isRead = true" />
  </div>
  <div v-if="charts.saving.state === 'forgotten'" class="news warning" role="alert">
    <span>{{ t('frame.anotherTabHasForgottenThisChart') }}</span>
    <el-button @click="charts.keepAsNew()">{{ t('frame.keepItAsANewChart') }}</el-button>
    <el-button @click="charts.letGo()">{{ t('frame.letItGo') }}</el-button>
  </div>
  <div v-if="failure" class="news warning" role="alert">
    <span>{{ t('frame.thisChangeIsNotSavedYet', { failure }) }}</span>
    <el-button @click="charts.retry()">{{ t('frame.tryNow') }}</el-button>
    <el-button @click="exportChart()">{{ t('common.export') }}</el-button>
  </div>
  <div v-if="left.length && !charts.trouble" class="news warning" role="alert">
    <span>{{ t('frame.notSavedLeft', { left: why(present(left[0])) }) }}</span>
    <el-button v-for="{ id, title } in left" :key="id" @click="charts.open(id)">
      {{ title }}
    </el-button>
    <el-button @click="charts.retry()">{{ t('frame.tryNow') }}</el-button>
  </div>
</template>
