<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { savedText } from '../../../core/say/figureText'
import InlineText from '../../../components/InlineText.vue'
import { setTitle } from '../../../core/chart/edits/fields'
import { useCharts } from '../../../stores/charts'
import { openDemo } from '../../parts/files/demo'
import GroupField from './GroupField.vue'
import SaveAs from './SaveAs.vue'
import FileButton from '../../../components/FileButton.vue'
import { importFile } from '../../parts/files/importing'
import { downloadChart } from '../../parts/files/importing'
import { t } from '../../../words/charts'

const charts = useCharts()
const router = useRouter()
const now = useNow({ interval: 60_000 })

/** As they stand, be it saved or not. */
const entries = computed(() =>
  charts.kept.map((entry) => {
    const unsaved = charts.unsaved.find(({ id }) => id === entry.id)
    const saved = unsaved
      ? t('charts.notSaved')
      : t('charts.savedSavedAt', { savedAt: savedText(entry.savedAt, now.value.getTime()) })
    return { ...entry, title: unsaved?.title ?? entry.title, saved }
  }),
)

async function begin() {
  await charts.create(t('common.newPlan'))
  await router.push('/worksheet')
}

async function show(id: string) {
  if (await charts.open(id)) await router.push('/desk')
}

async function rename(id: string, title: string) {
  if (await charts.open(id)) charts.edit(t('charts.renameTheChart'), (draft) => setTitle(draft, title))
}

async function exportChart(id: string) {
  if (await charts.open(id)) downloadChart(await charts.fileText(), id)
}

async function remove(id: string, title: string) {
  if ((await charts.remove(id)) !== false) charts.tell(t('charts.titleIsInTheBinBelow', { title }))
}
</script>

<template>
  <div class="page">
    <header>
      <h1>{{ t('common.charts') }}</h1>
      <p class="muted">{{ t('charts.theyAreKeptInThisBrowser') }}</p>
    </header>
    <p class="actions">
      <el-button type="primary" @click="begin">{{ t('charts.newChart') }}</el-button>
      <FileButton :label="t('common.chartFile')" @file="importFile">{{ t('charts.importAFile') }}</FileButton>
      <el-button @click="openDemo()">{{ t('common.openTheDemoPlan') }}</el-button>
      <el-button @click="openDemo('wayOut')">{{ t('common.openTheDefendersDemo') }}</el-button>
      <span class="muted small">{{ t('charts.orDropAFileAnywhere') }}</span>
    </p>
    <ul class="list" :aria-label="t('common.charts')">
      <li v-for="entry in entries" :key="entry.id" class="panel" :class="{ open: entry.id === charts.chart?.id }">
        <div>
          <h2>
            <InlineText
              :value="entry.title"
              :label="t('charts.titleOfTheChart')"
              required
              @change="rename(entry.id, $event)"
            />
          </h2>
          <p class="muted small">
            {{ t('count.position', entry.size) }}, {{ entry.saved }}
            <template v-if="entry.id === charts.chart?.id"> {{ t('charts.openNow') }}</template>
          </p>
          <GroupField v-if="entry.id === charts.chart?.id" />
        </div>
        <div class="row">
          <el-button @click="show(entry.id)">{{ t('charts.open') }}</el-button>
          <el-button text @click="charts.duplicate(entry.id)">
            {{ t('charts.duplicate') }}
          </el-button>
          <el-button text @click="exportChart(entry.id)">{{ t('common.export') }}</el-button>
          <SaveAs v-if="entry.id === charts.chart?.id" />
          <el-button text @click="remove(entry.id, entry.title)">
            {{ t('charts.delete') }}
          </el-button>
        </div>
      </li>
    </ul>
    <p v-if="!charts.kept.length" class="muted">{{ t('charts.noChartYet') }}</p>
    <section v-if="charts.bin.length" :aria-label="t('charts.bin')">
      <h3>{{ t('charts.bin') }}</h3>
      <ul class="list">
        <li v-for="entry in charts.bin" :key="entry.id" class="panel">
          <p>
            {{ entry.title }}
            <span class="muted small">{{
              t('charts.deletedRemovedAt', { removedAt: savedText(entry.removedAt!, now.getTime()) })
            }}</span>
          </p>
          <div class="row">
            <el-button @click="charts.restore(entry.id)">
              {{ t('charts.undoTheDeletion') }}
            </el-button>
            <el-popconfirm
              :title="t('charts.noWayBack')"
              :confirm-button-text="t('charts.forgetForGood')"
              :cancel-button-text="t('charts.keepIt')"
              @confirm="charts.forget(entry.id)"
            >
              <template #reference>
                <el-button text>{{ t('charts.forgetForGood') }}</el-button>
              </template>
            </el-popconfirm>
          </div>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: var(--space-16);
  padding: var(--space-16);
}

.actions,
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-8);
}

.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(560px, 100%), 1fr));
  gap: var(--space-8);
}

.list li {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: var(--space-8);
  padding: var(--space-12) var(--space-16);
}

.open {
  border-color: var(--ours);
}

h3 {
  margin-bottom: var(--space-8);
}
</style>
