<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { mistakesByWeek, roundsByPosition } from '../../../core/learn/room'
import { hundred } from '../../../core/say/figureText'
import LateChart from '../../parts/chart/LateChart.vue'
import type { ChartData, Token } from '../../parts/chart/picture'
import { dayText } from '../../parts/club/days'
import { useLog } from '../../parts/club/log'
import { t } from '../../../words/learn'

/** What went on in the room: minutes in rounds, taps and escapes by where they began, and mistakes seen by week. */
const { log } = useLog()
const rounds = computed(() => (log.value ? roundsByPosition(log.value.club, log.value.chart.id) : []))
const nameOf = (id: string) => lookUp(log.value?.chart.positions, id)?.name ?? id
const names = computed(() => rounds.value.map(({ position }) => nameOf(position)))
const minutes = computed((): ChartData | null =>
  rounds.value.length
    ? {
        ...{
          kind: 'bars',
          isAcross: true,
          isCounted: true,
          labels: names.value,
          along: t('learn.from'),
          value: t('learn.minutes'),
        },
        series: [{ name: t('learn.minutes'), token: 'muted', values: rounds.value.map((one) => one.seconds / 60) }],
      }
    : null,
)
const endings = computed((): ChartData | null =>
  rounds.value.length
    ? {
        ...{
          kind: 'bars',
          isAcross: true,
          isStacked: true,
          isCounted: true,
          labels: names.value,
          along: t('learn.from'),
        },
        value: t('learn.rounds'),
        series: [
          { name: t('learn.taps'), token: 'ours', values: rounds.value.map(({ taps }) => taps) },
          {
            ...{ name: t('learn.neither'), token: 'track' as const },
            values: rounds.value.map(({ rounds: n, taps, out }) => n - taps - out),
          },
          { name: t('learn.escapes'), token: 'theirs', values: rounds.value.map(({ out }) => out) },
        ],
      }
    : null,
)
const TOKENS: readonly Token[] = ['leak', 'caution', 'theirs', 'trap', 'ours', 'muted']
const mistakes = computed((): ChartData | null => {
  const weeks = mistakesByWeek(log.value?.club ?? { sessions: [] })
  if (!weeks.length) return null
  const all = [...new Set(weeks.flatMap(({ shares }) => [...shares.keys()]))]
  return {
    ...{ kind: 'lines', labels: weeks.map(({ monday }) => dayText(monday)), along: t('learn.weekFrom'), from: 0 },
    value: t('learn.ofHundredPairs'),
    series: all.slice(0, TOKENS.length).map((name, i) => ({
      ...{ name, token: TOKENS[i] ?? 'muted', joins: true },
      values: weeks.map(({ shares }) => shares.get(name) ?? null),
    })),
  }
})
const whole = (n: number) => String(Math.round(n))
</script>

<template>
  <h1>{{ t('learn.inTheRoom') }}</h1>
  <p v-if="!minutes && !mistakes" class="muted">{{ t('learn.nothingLogged') }}</p>
  <div class="two">
    <LateChart v-if="minutes" :title="t('learn.timeInRounds')" :data="minutes" :say="whole" />
    <LateChart v-if="endings" :title="t('learn.tapsAndEscapes')" :data="endings" :say="whole" />
    <LateChart v-if="mistakes" :title="t('learn.mistakesByWeek')" :data="mistakes" :say="hundred" />
  </div>
  <p class="small off-paper">
    <RouterLink to="/people/memory">{{ t('learn.whoWasNotShownWhat') }}</RouterLink>
  </p>
</template>

<style scoped src="./trends.css"></style>
