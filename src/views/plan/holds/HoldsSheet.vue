<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { computed } from 'vue'
import { later } from '../../../components/later'
import { hundred } from '../../../core/say/figureText'
import { freeLimbs } from '../../../core/holds/oneMore'
import { arrangementsOf } from '../../../core/holds/compareArrangements'
import { whoControls } from '../../../core/sides/frames'
import { limbsWords } from '../../../core/holds/limbWords'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import PositionList from '../../parts/PositionList.vue'
import ArrangementTable from './ArrangementTable.vue'
import FrameField from './FrameField.vue'
import HoldsTabs from '../../parts/body/HoldsTabs.vue'
import HoldsOn from './HoldsOn.vue'
import OneMore from './OneMore.vue'
import PinFigure from '../../parts/body/PinFigure.vue'
import PinTable from './PinTable.vue'
import PaperCautions from '../../parts/print/PaperCautions.vue'
import PrintButton from '../../parts/print/PrintButton.vue'
import ThreeQuestions from './ThreeQuestions.vue'
import { provideHolds } from './holds'
import { t } from '../../../words/holds'

/** It stands beside the sheet, and comes after it. */
const HoldInspector = later(() => import('./HoldInspector.vue'))

const { chart, position, on, check, selected } = provideHolds()
const store = useFigures()
const figure = computed(() => position.value && store.figures?.positions[position.value.id])
const free = computed(() =>
  limbsWords(
    freeLimbs(
      chart.value,
      on.value.map(({ id }) => id),
    ),
  ),
)
/** Tried from here, or from another arrangement of the same pin. */
const cautioned = computed(() => {
  if (!position.value) return []
  const ids = new Set<string>(arrangementsOf(chart.value, position.value.id).map(({ id }) => id))
  return chart.value.moves.filter(({ from }) => ids.has(from) || from === position.value?.id)
})
const hindrable = computed(() => check.value.escapes.some(({ isHindrable }) => isHindrable))
</script>

<template>
  <ListAndSheet class="holds" :list="t('positions.positions')" :about="selected?.name ?? ''">
    <template #list><PositionList screen="holds" /></template>
    <section v-if="position" class="sheet" :aria-label="t('holds.holdsInPosition', { position: position.name })">
      <HoldsTabs class="off-paper" at="pin" />
      <header>
        <div>
          <h1>{{ position.name }}</h1>
          <p class="muted">
            <template v-if="on.length"
              >{{ t('holds.freeToAttackFree', { free: free || t('holds.noHandAndNoLeg') }) }}&nbsp;</template
            >
            <RouterLink class="off-paper" :to="`/worksheet/${position.id}`">{{ t('common.worksheet') }}</RouterLink>
            <PrintButton />
          </p>
        </div>
        <AskedFigure
          v-if="figure"
          class="worth"
          :value="figure.value"
          form="value"
          :asked="{ of: 'position', position: position.id }"
          :label="t('common.worthOfMove', { move: position.name })"
        />
      </header>
      <FrameField class="off-paper" />
      <PinFigure
        :frame="position.frame ?? position.family"
        :name="position.name"
        :orientation="position.orientation ?? {}"
        :over="whoControls(position)"
        :holds="on"
      />
      <HoldsOn />
      <ThreeQuestions v-if="on.length || hindrable" />
      <PinTable v-if="check.escapes.length" />
      <ArrangementTable />
      <OneMore v-if="hindrable" class="off-paper" />
      <p v-if="figure?.still !== undefined && figure.still !== null" class="panel still">
        <I18nT :keypath="figure.best === 'wait' ? 'holds.stillIsBest' : 'holds.stillAgainstTheBest'" scope="global"
          ><template #still
            ><b>{{ hundred(figure.still) }}</b></template
          ><template #best>{{ hundred(figure.value) }}</template></I18nT
        >
      </p>
      <PaperCautions :moves="cautioned" />
    </section>
    <section v-else class="sheet">
      <h1>{{ t('common.whereDoYouStartFrom') }}</h1>
      <p class="muted">{{ t('holds.nameAPositionOnTheLeft') }}</p>
    </section>
    <template #about>
      <aside v-if="selected" class="off-paper" :aria-label="t('holds.aboutTheHold')">
        <HoldInspector :key="selected.id" :hold="selected" />
      </aside>
    </template>
  </ListAndSheet>
</template>

<style scoped>
.holds {
  --about-width: 320px;
}

.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16) var(--space-32);
}

header {
  display: flex;
  justify-content: space-between;
  gap: var(--space-24);
}

.worth {
  font-size: var(--type-head);
}

.still {
  padding: var(--space-12) var(--space-16);
}

@media print {
  .sheet {
    display: block;
    padding: 0;
  }
}
</style>
