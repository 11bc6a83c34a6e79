<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { computed } from 'vue'
import { hundred } from '../../../core/say/figureText'
import { freeLimbs } from '../../../core/holds/oneMore'
import { whoControls } from '../../../core/sides/frames'
import { limbsWords } from '../../../core/holds/limbWords'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import PositionList from '../../parts/PositionList.vue'
import ArrangementTable from './ArrangementTable.vue'
import FrameField from './FrameField.vue'
import HoldInspector from './HoldInspector.vue'
import HoldsTabs from '../../parts/body/HoldsTabs.vue'
import HoldsOn from './HoldsOn.vue'
import OneMore from './OneMore.vue'
import PinFigure from '../../parts/body/PinFigure.vue'
import PinTable from './PinTable.vue'
import ThreeQuestions from './ThreeQuestions.vue'
import { provideHolds } from './holds'
import { t } from '../../../words'

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
const hindrable = computed(() => check.value.escapes.some(({ isHindrable }) => isHindrable))
</script>

<template>
  <div class="holds">
    <PositionList screen="holds" />
    <section v-if="position" class="sheet" :aria-label="t('holds.holdsInPosition', { position: position.name })">
      <HoldsTabs at="pin" />
      <header>
        <div>
          <h1>{{ position.name }}</h1>
          <p class="muted">
            <template v-if="on.length"
              >{{ t('holds.freeToAttackFree', { free: free || t('holds.noHandAndNoLeg') }) }}&nbsp;</template
            >
            <RouterLink :to="`/worksheet/${position.id}`">{{ t('common.worksheet') }}</RouterLink>
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
      <FrameField />
      <PinFigure
        v-if="on.length"
        :frame="position.frame"
        :orientation="position.orientation ?? {}"
        :over="whoControls(position)"
        :holds="on"
      />
      <HoldsOn />
      <ThreeQuestions v-if="on.length || hindrable" />
      <PinTable v-if="check.escapes.length" />
      <ArrangementTable />
      <OneMore v-if="hindrable" />
      <p v-if="figure?.still !== undefined && figure.still !== null" class="panel still">
        <I18nT :keypath="figure.best === 'wait' ? 'holds.stillIsBest' : 'holds.stillAgainstTheBest'" scope="global"
          ><template #still
            ><b>{{ hundred(figure.still) }}</b></template
          ><template #best>{{ hundred(figure.value) }}</template></I18nT
        >
      </p>
    </section>
    <section v-else class="sheet">
      <h1>{{ t('common.whereDoYouStartFrom') }}</h1>
      <p class="muted">{{ t('holds.nameAPositionOnTheLeft') }}</p>
    </section>
    <aside v-if="selected" :aria-label="t('holds.aboutTheHold')">
      <HoldInspector :key="selected.id" :hold="selected" />
    </aside>
  </div>
</template>

<style scoped>
.holds {
  display: grid;
  grid-template-columns: 218px minmax(0, 1fr) auto;
  height: 100%;
}

.sheet {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  align-content: start;
  gap: var(--space-12);
  padding: var(--space-16) var(--space-16) var(--space-32);
  overflow-y: auto;
  min-width: 0;
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

aside {
  width: 320px;
  padding: var(--space-16);
  border-left: 1px solid var(--line);
  background: var(--panel);
  overflow-y: auto;
}

@media (width < 1100px) {
  .holds {
    grid-template-columns: 180px minmax(0, 1fr);
    grid-template-rows: minmax(0, 1fr) auto;
  }

  aside {
    grid-column: 1 / -1;
    width: auto;
    max-height: 40vh;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
</style>
