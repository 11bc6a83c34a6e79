<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useCharts } from '../../stores/charts'
import { openDemo } from '../parts/files/demo'
import { importFile } from '../parts/files/importing'

const charts = useCharts()
const router = useRouter()
const file = ref<HTMLInputElement>()

/** Who has gone elsewhere in the meantime stays there. */
async function begin() {
  const { fullPath } = router.currentRoute.value
  await charts.create('New plan')
  if (router.currentRoute.value.fullPath === fullPath) await router.push('/worksheet')
}

function chosen(event: Event) {
  const [picked] = (event.target as HTMLInputElement).files ?? []
  if (picked) void importFile(picked)
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
      <button type="button" class="button quiet" @click="file?.click()">Import a chart</button>
      <input
        ref="file"
        type="file"
        accept=".json,application/json"
        class="readers-only"
        tabindex="-1"
        aria-label="Chart file"
        @change="chosen"
      />
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
