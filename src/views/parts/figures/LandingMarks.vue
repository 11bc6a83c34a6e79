<script setup lang="ts">
import { computed } from 'vue'
import type { Landing } from '../../../core/match/better'
import type { Variant } from '../../../core/match/recordOf'
import { ofTen } from '../../../core/say/ofTen'
import { useCharts } from '../../../stores/charts'
import { logged, whoPlays } from '../../../stores/estimates'
import { t } from '../../../words/learn'

/** How often something lands, as three marks on a line: the guess, the group and this person, each with its weight. */
const props = defineProps<{ what: Variant }>()
const charts = useCharts()
const landing = computed(() => (charts.chart && logged.value?.landing(charts.chart, props.what)) ?? null)
const weightOf = ([landed, not]: Landing['guess']) => Math.round(landed + not)
const shareOf = ([landed, not]: Landing['guess']) => landed / (landed + not)
const marks = computed(() => {
  if (!landing.value) return []
  const { guess, group, person } = landing.value
  // With nothing logged the three are one.
  if (weightOf(group) === weightOf(guess)) return []
  const named = [
    { of: 'guess', name: t('learn.markGuess'), beta: guess },
    { of: 'group', name: t('learn.markGroup'), beta: group },
    ...(person && whoPlays.value ? [{ of: 'person', name: whoPlays.value.us, beta: person }] : []),
  ]
  return named.map(({ of, name, beta }) => ({
    ...{ of, share: shareOf(beta) },
    says: t('learn.markSays', { name, lands: ofTen(shareOf(beta)), weight: weightOf(beta) }),
  }))
})
const says = computed(() => marks.value.map((one) => one.says).join(', '))
</script>

<template>
  <span v-if="marks.length" class="landing" :data-tip="t('learn.marksHelp')">
    <span class="line" aria-hidden="true">
      <i v-for="one in marks" :key="one.of" :class="one.of" :style="{ left: `${one.share * 100}%` }" />
    </span>
    <span class="muted small">{{ says }}</span>
  </span>
</template>

<style scoped>
.landing {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 0 var(--space-12);
  align-items: center;
}

.line {
  position: relative;
  width: 120px;
  height: 14px;
  border-bottom: 2px solid var(--track);
}

/* Each by its shape: hollow is only guessed, square is of many, a drop is one person. */
i {
  position: absolute;
  bottom: 0;
  width: 10px;
  height: 10px;
  border: 2px solid var(--muted);
  border-radius: var(--corner-full);
  background: var(--panel);
  transform: translateX(-50%);
}

.group {
  border-color: var(--ours);
  border-radius: 0;
  background: var(--ours);
}

.person {
  border-color: var(--theirs);
  border-radius: 0 var(--corner-full) var(--corner-full);
  background: var(--theirs);
  transform: translateX(-50%) rotate(45deg);
}
</style>
