<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useCharts } from '../../stores/charts'
import { openDemo } from '../parts/files/demo'
import FileButton from '../parts/files/FileButton.vue'

const charts = useCharts()
const router = useRouter()

/** Creates a plan and opens the Worksheet, unless the coach has gone to another screen in the meantime. */
async function begin() {
  const { fullPath } = router.currentRoute.value
  await charts.create('New plan')
  if (router.currentRoute.value.fullPath === fullPath) await router.push('/worksheet')
}
</script>

<template>
  <section class="panel welcome">
    <h1>Where does your chain leak?</h1>
    <p>
      Chart what you try, what they do about it and what you answer, in tries of ten. Ataque works out what the plan is
      worth against someone who reads it, and which escape costs you most.
    </p>
    <p class="actions">
      <button type="button" class="button primary" @click="openDemo()">Open the demo plan</button>
      <button type="button" class="button" @click="begin">Start an empty chart</button>
      <FileButton class="quiet">Import a chart</FileButton>
    </p>
    <p class="muted small">
      Everything stays in this browser. It does not replace a qualified coach, your rules or medical advice.
    </p>
  </section>
</template>

<style scoped>
.welcome {
  display: grid;
  gap: 14px;
  max-width: 640px;
  margin: 24px 20px;
  padding: 24px;
}

.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
</style>
