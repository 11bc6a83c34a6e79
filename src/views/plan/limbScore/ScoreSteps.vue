<script setup lang="ts">
import { computed } from 'vue'
import RowButton from '../../../components/RowButton.vue'
import { barWords, rowName } from '../../../core/say/bar'
import { hundred } from '../../../core/say/figureText'
import { sure } from '../../../core/sure'
import { useHeads } from './heads'
import { useScore } from './score'
import { t } from '../../../words/score'

/** The score as a list of steps, for a screen on which its columns have no room: what each step puts on and lets go. */
const { lines, played, words, beat, worths } = useScore()
const heads = useHeads()

const steps = computed(() =>
  heads.value.map((head, i) => {
    const sides = sure(played.value.beats[i])
    const changes = lines.value.flatMap(({ row, part, bars }) => {
      const limb = rowName(row, part)
      const on = bars.filter(({ from }) => from === i).map((bar) => ({ limb, on: barWords(bar, sides, words.value) }))
      const isLeft = bars.some(({ to }) => to === i - 1) && !bars.some(({ from, to }) => from <= i && i <= to)
      return isLeft ? [...on, { limb, on: '' }] : on
    })
    return { ...head, changes, worth: worths.value?.[i] }
  }),
)
</script>

<template>
  <ol class="panel" :aria-label="t('score.theScore')">
    <li v-for="(step, i) in steps" :key="i" :class="{ theirs: step.isTheirs, chosen: i === beat }">
      <RowButton class="step" :aria-pressed="i === beat" @click="beat = i">
        <span class="number">{{ i === 0 ? t('common.start2') : i }}</span>
        <span
          ><b>{{ step.name }}</b
          ><span v-if="step.where && step.where !== step.name" class="muted">&nbsp;{{ step.where }}</span></span
        >
        <span v-if="typeof step.worth === 'number'" class="number">{{ hundred(step.worth) }}</span>
      </RowButton>
      <ul>
        <li v-for="({ limb, on }, k) in step.changes" :key="k">
          <span class="muted">{{ limb }}</span> {{ on || t('score.free') }}
        </li>
        <li v-if="step.turned" class="muted">{{ t('score.sidesChange') }}</li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
ol > li {
  padding: var(--space-8) var(--space-12);
  border-left: 4px solid var(--ours);
}

ol > li + li {
  border-top: 1px solid var(--line);
}

ol > li.theirs {
  border-left-color: var(--theirs);
}

ol > li.chosen {
  background: var(--ours-soft);
}

.step {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr) auto;
  gap: var(--space-8);
  width: 100%;
  min-height: var(--control);
}

ul {
  padding-left: var(--space-32);
}

.step > * {
  align-self: center;
}
</style>
