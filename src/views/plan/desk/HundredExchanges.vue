<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { hundred, share } from '../../../core/say/figureText'
import { headline } from '../../../core/say/headline'
import { sayRepeats } from '../../../core/say/trust'
import { WORTH } from '../../../core/say/worth'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import HowSure from '../../parts/figures/HowSure.vue'
import TooLittle from '../../parts/figures/TooLittle.vue'
import { t } from '../../../words'

/** The start's value, a sentence a coach would say, and what becomes of a hundred exchanges. */
const charts = useCharts()
const store = useFigures()
const sentence = computed(() => headline(present(charts.chart), present(store.scenario), present(store.figures)))
const repeats = computed(() => sayRepeats(present(charts.chart), present(store.figures)))

const parts = computed(() => {
  const { endings } = present(store.figures)
  const finish = present(store.scenario).goal.length ? t('desk.finishedOrAtTheGoal') : t('desk.finished')
  return [
    { key: 'finish', name: finish, value: endings.finish },
    { key: 'ours', name: t('desk.endedAhead'), value: endings.ours },
    { key: 'even', name: t('desk.endedEven'), value: endings.even },
    { key: 'theirs', name: t('desk.endedBehind'), value: endings.theirs },
    { key: 'caught', name: t('desk.caught'), value: endings.caught },
  ]
})
/** What reads as none has no part of the bar. */
const drawn = computed(() => parts.value.filter(({ value }) => share(value) !== '0'))
</script>

<template>
  <section class="panel hundred" :aria-label="t('desk.whatTheStartIsWorth')">
    <div class="worth">
      <AskedFigure :value="store.figures!.value" :asked="{ of: 'start' }" :label="t('common.worthOfTheStart')" />
      <span class="label">{{ t('common.worth') }}</span>
      <HowSure />
    </div>
    <div class="rest" :class="{ stale: store.stale }">
      <TooLittle />
      <p class="sentence">{{ sentence }}</p>
      <p v-if="repeats" class="muted">{{ repeats }}</p>
      <div class="bar" role="img" :aria-label="parts.map(({ name, value }) => `${hundred(value)} ${name}`).join(', ')">
        <span v-for="part in drawn" :key="part.key" :class="part.key" :style="{ flexGrow: part.value }" />
      </div>
      <ul>
        <li v-for="part in parts" :key="part.key">
          <i :class="part.key" /><b>{{ share(part.value) }}</b> {{ part.name }}
        </li>
      </ul>
      <p class="muted small">{{ WORTH }}</p>
    </div>
  </section>
</template>

<style scoped>
.hundred {
  display: flex;
  gap: var(--space-24);
  padding: var(--space-16) var(--space-24);
}

.worth {
  display: grid;
  align-content: center;
  justify-items: center;
}

.worth :deep(.number) {
  font-size: var(--type-figure);
  line-height: 1;
}

.rest {
  flex: 1;
  display: grid;
  gap: var(--space-12);
}

.sentence {
  font-size: var(--type-lead);
  line-height: 1.4;
  max-width: 70ch;
}

.bar {
  display: flex;
  gap: var(--space-4);
  height: 18px;
}

.bar span {
  min-width: 2px;
}

.bar .finish,
i.finish {
  background: var(--ours);
  border-radius: var(--corner-panel);
}

.bar .ours,
i.ours {
  background: color-mix(in srgb, var(--ours) 45%, var(--panel));
}

.bar .even,
i.even {
  background: var(--line);
}

.bar .theirs,
i.theirs {
  background: color-mix(in srgb, var(--theirs) 50%, var(--panel));
}

.bar .caught,
i.caught {
  background: var(--theirs);
  clip-path: polygon(0 0, calc(100% - 5px) 0, 100% 5px, 100% 100%, 0 100%);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
}

li {
  display: flex;
  align-items: center;
  gap: var(--space-8);
}

i {
  width: 14px;
  height: 12px;
}

b {
  font: var(--weight-strong) var(--type-lead) / 1 var(--label);
}

@media (width < 768px) {
  .hundred {
    display: grid;
    gap: var(--space-12);
    padding: var(--space-16);
  }

  .worth {
    grid-auto-flow: column;
    gap: var(--space-8);
    align-items: baseline;
    justify-content: start;
  }
}
</style>
