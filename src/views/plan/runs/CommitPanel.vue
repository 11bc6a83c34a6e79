<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { finer, onceIn, share } from '../../../core/say/figureText'
import ProbeFields from '../../../components/ProbeFields.vue'
import { setProbe } from '../../../core/chart/edits/probe'
import { PROBE, type Probe } from '../../../core/chart/probe'
import { usualProbe } from '../../../core/game/scenario'
import { sayChange, sayWhatIf } from '../../../core/say/whatIf'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useQuestion } from '../../../stores/questions'
import { t } from '../../../words/runs'

/**
 * How hard to commit: moves may be only shown, to draw what they do; the plan picks, and here is what that is worth.
 */
const charts = useCharts()
const figures = useFigures()
/** A smaller change of worth is not told: the figures would read the same before and after. */
const NOTEWORTHY = 0.01
const settings = computed(() => present(charts.chart).settings)
const isOn = computed(() => present(figures.scenario).probe !== null)

const { answer, progress } = useQuestion(() => ({
  of: 'whatIf' as const,
  ifs: { probe: isOn.value ? null : usualProbe(settings.value) },
}))
const gain = computed(() => (answer.value ? (answer.value.then - answer.value.now) * (isOn.value ? -1 : 1) : 0))
const shown = computed(() =>
  present(charts.chart)
    .moves.map((move) => ({ move, figure: figures.figures?.moves[move.id] }))
    .filter(({ figure }) => (figure?.shown ?? 0) > 0.0005)
    .sort((a, b) => present(present(b.figure).shown) - present(present(a.figure).shown)),
)

const throughWith = (times: number) =>
  times < 0.0005 ? t('runs.neverGoneThroughWith') : t('runs.goneThroughWithTimesTimes', { times: share(times) })

const turn = (on: boolean) => figures.setScenario({ probe: on ? usualProbe(settings.value) : null })
const set = (probe: Probe) => charts.edit(t('runs.howMovesGoThatAreOnly'), (draft) => setProbe(draft, null, probe))
</script>

<template>
  <section class="panel" :aria-label="t('runs.howHardToCommit')">
    <h2>{{ t('runs.howHardToCommit') }}</h2>
    <p class="muted small">
      {{ t('runs.aMoveCanBeTriedIn') }}
    </p>
    <el-checkbox class="switch" :model-value="isOn" @change="(on: boolean) => turn(on)">
      {{ t('runs.whereItIsWorthMoreWe') }}</el-checkbox
    >
    <ProbeFields
      :probe="settings?.probe"
      :usual="PROBE"
      @change="set"
      @refuse="(reason) => charts.tell(reason, 'warning')"
    />
    <p v-if="progress !== null" role="status" class="muted">{{ t('runs.workingItOut') }}</p>
    <template v-else-if="answer">
      <p v-if="gain < 0.0005" class="says">
        {{ t('runs.goingThroughWithEverythingIsAs') }}
      </p>
      <p v-else class="says">
        {{
          isOn ? t('runs.showingIsWorth', { gain: finer(gain) }) : t('runs.showingWouldBeWorth', { gain: finer(gain) })
        }}
        <template v-if="!isOn && gain >= NOTEWORTHY">{{ sayWhatIf(answer)[0] }}</template>
      </p>
      <ul v-if="!isOn && gain >= 0.0005 && answer.changes.length">
        <li v-for="change in answer.changes.slice(0, 5)" :key="change.position">
          {{ sayChange(charts.chart!, change) }}
        </li>
      </ul>
    </template>
    <ul v-if="shown.length" :aria-label="t('runs.whatIsOnlyShown')">
      <li v-for="{ move, figure } in shown.slice(0, 8)" :key="move.id">
        <I18nT keypath="runs.isShown" scope="global"
          ><template #move
            ><RouterLink :to="{ path: `/worksheet/${move.from}`, query: { move: move.id } }">{{
              move.name
            }}</RouterLink></template
          ><template #often>{{ onceIn(figure!.shown!) }}</template
          ><template #through>{{ throughWith(figure!.uses - figure!.shown!) }}</template></I18nT
        >
      </li>
    </ul>
  </section>
</template>

<style scoped src="./panel.css"></style>

<style scoped>
.switch {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}
</style>
