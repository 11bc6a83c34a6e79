<script setup lang="ts">
import { ArrowDown } from '@element-plus/icons-vue'
import type { Form } from '../../parts/files/saveAs'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/charts'

/** The open chart in the forms that other programs read. */
const charts = useCharts()
const FORMS: { form: Form; name: string }[] = [
  { form: 'tables', name: t('charts.asTables') },
  { form: 'graphml', name: t('charts.asGraphml') },
  { form: 'dot', name: t('charts.asDot') },
  { form: 'markdown', name: t('charts.asMarkdown') },
  { form: 'lines', name: t('charts.asLines') },
]
async function save(form: Form) {
  const { saveChartAs } = await import('../../parts/files/saveAs')
  if (charts.keptChart) saveChartAs(charts.keptChart, form)
}
</script>

<template>
  <el-dropdown trigger="click" @command="save">
    <el-button text>
      {{ t('charts.saveAs') }}<el-icon class="el-icon--right"><ArrowDown /></el-icon>
    </el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="{ form, name } in FORMS" :key="form" :command="form">{{ name }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
