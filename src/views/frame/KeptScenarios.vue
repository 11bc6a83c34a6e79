<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import IconButton from '../../components/IconButton.vue'
import { computed, ref } from 'vue'
import { present } from '../../core/sure'
import { forgetScenario, goBackToScenario, keepScenario } from '../../core/game/edits/scenario'
import { keptNow } from '../../core/game/keptScenarios'
import { useCharts } from '../../stores/charts'
import { t } from '../../words/scenario'

/** Scenarios under a name, to come back to: press one, or keep the one that is set. */
const charts = useCharts()
const chart = computed(() => present(charts.chart))
const kept = computed(() => chart.value.settings?.keptScenarios ?? [])
const now = computed(() => keptNow(chart.value)?.id)
const name = ref('')

const goBack = (id: string, called: string) =>
  charts.edit(t('scenario.scenarioNamed', { name: called }), (draft) => goBackToScenario(draft, id))

function keep() {
  const called = name.value.trim()
  if (!called) return
  if (charts.edit(t('scenario.keepTheScenario', { name: called }), (draft) => void keepScenario(draft, called)))
    name.value = ''
}

function forget(id: string, called: string) {
  const label = t('scenario.forgetTheScenario', { name: called })
  if (charts.edit(label, (draft) => forgetScenario(draft, id)))
    charts.tell(t('scenario.scenarioForgotten', { name: called }), 'info', 'undo')
}
</script>

<template>
  <section :aria-label="t('scenario.keptScenarios')">
    <ul v-if="kept.length">
      <li v-for="one in kept" :key="one.id">
        <el-button
          class="kept"
          :type="one.id === now ? 'primary' : undefined"
          :aria-pressed="one.id === now"
          @click="goBack(one.id, one.name)"
          >{{ one.name }}</el-button
        >
        <IconButton
          :icon="Close"
          :name="t('scenario.forgetTheScenario', { name: one.name })"
          @click="forget(one.id, one.name)"
        />
      </li>
    </ul>
    <form v-if="!now" @submit.prevent="keep">
      <el-input v-model="name" :aria-label="t('scenario.nameOfTheScenario')" :placeholder="t('scenario.keepThisAs')" />
      <el-button native-type="submit" :disabled="!name.trim()">{{ t('frame.keep') }}</el-button>
    </form>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-8);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}

li {
  display: flex;
}

form {
  display: flex;
  gap: var(--space-8);
}
</style>
