<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { keysOf } from '../../../core/typed'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import { setSetting } from '../../../core/chart/edits/fields'
import { setGroup } from '../../../core/chart/edits/group'
import { GROUPS } from '../../../core/chart/rules/ruleSets'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/charts'

/** Who trains with the open chart. Minors and beginners are kept from dangerous finishes until a coach says why not. */
const charts = useCharts()
const settings = computed(() => present(charts.chart).settings ?? {})

const chooseGroup = (group: string) =>
  charts.edit(t('charts.whoTrains'), (draft) =>
    setGroup(
      draft,
      keysOf(GROUPS).find((one) => one === group),
    ),
  )

const setReason = (reason: string) =>
  charts.edit(reason ? t('charts.showWhatIsDangerous') : t('charts.hideWhatIsDangerous'), (draft) =>
    setSetting(draft, 'shownBecause', reason),
  )
</script>

<template>
  <div class="group">
    <label>
      <span class="label">{{ t('charts.whoTrainsWithItDecidesWhat') }}</span>
      <PickList
        :value="settings.group ?? ''"
        :options="[
          { value: '', label: t('charts.experiencedAdults') },
          ...Object.entries(GROUPS).map(([id, one]) => ({ value: id, label: one.name })),
        ]"
        @change="(picked) => chooseGroup(picked)"
      />
    </label>
    <p v-if="settings.group" class="small">
      {{ settings.shownBecause ? t('charts.everythingIsShownBecause') : t('charts.dangerousFinishesAreOutOfThe') }}
      <InlineText
        :value="settings.shownBecause ?? ''"
        :label="t('charts.whyTheyAreShown')"
        :placeholder="t('charts.aReasonKeptInTheFile')"
        @change="setReason"
      />
    </p>
  </div>
</template>

<style scoped>
.group {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
  align-items: end;
  margin-top: var(--space-8);
}

label {
  display: grid;
  gap: var(--space-4);
}
</style>
