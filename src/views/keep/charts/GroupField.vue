<script setup lang="ts">
import { computed } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import type { Settings } from '../../../core/chart/chart'
import { GROUPS, type Group } from '../../../core/chart/rules/ruleSets'
import { useCharts } from '../../../stores/charts'

/** Who trains with the open chart. Minors and beginners are kept from dangerous finishes until a coach says why not. */
const charts = useCharts()
const settings = computed(() => charts.chart!.settings ?? {})

function set(label: string, change: (settings: Settings) => void) {
  charts.edit(label, (draft) => {
    draft.settings = { ...draft.settings }
    change(draft.settings)
  })
}

function setGroup(group: string) {
  set('Who trains', (draft) => {
    if (group) draft.group = group as Group
    else delete draft.group
    delete draft.shownBecause
  })
}

function setReason(reason: string) {
  set(reason ? 'Show what is dangerous' : 'Hide what is dangerous', (draft) => {
    if (reason) draft.shownBecause = reason
    else delete draft.shownBecause
  })
}
</script>

<template>
  <div class="group">
    <label>
      <span class="label">Who trains</span>
      <select
        class="field"
        :value="settings.group ?? ''"
        @change="setGroup(($event.target as HTMLSelectElement).value)"
      >
        <option value="">experienced adults</option>
        <option v-for="(one, id) in GROUPS" :key="id" :value="id">{{ one.name }}</option>
      </select>
    </label>
    <p v-if="settings.group" class="small">
      {{
        settings.shownBecause
          ? 'Everything is shown, because:'
          : 'Dangerous finishes are out of the plan and off the Shelf. Show them because:'
      }}
      <InlineText
        :value="settings.shownBecause ?? ''"
        label="Why they are shown"
        placeholder="a reason, kept in the file"
        @change="setReason"
      />
    </p>
  </div>
</template>

<style scoped>
.group {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: end;
  margin-top: 6px;
}

label {
  display: grid;
  gap: 2px;
}

.field {
  width: auto;
  min-height: 30px;
  font-size: 15px;
}
</style>
