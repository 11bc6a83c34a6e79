<script setup lang="ts">
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { BODY_RULES, bodyRulesOf, type BodyFit, type bodyFits, type BodyRules } from '../../../core/learn/bodyFit'
import { setBodyRule } from '../../../core/club/edits/people'
import { present } from '../../../core/sure'
import { keysOf } from '../../../core/typed'
import { useClubs } from '../../../stores/clubs'
import { MEASURE_NAMES } from './measures'
import { t, type LearnKey } from '../../../words/learn'

/** What the measures of two people say of grips, legs and chokes: rules of thumb, with how much room there is. */
defineProps<{ fits: ReturnType<typeof bodyFits>; us: string; them: string }>()
const clubs = useClubs()
const RULE_NAMES: Record<keyof BodyRules, LearnKey> = {
  hand: 'learn.ruleHand',
  cross: 'learn.ruleCross',
  four: 'learn.ruleFour',
  behindHead: 'learn.ruleBehindHead',
  withArm: 'learn.ruleWithArm',
}
const WAYS = {
  four: 'learn.legsFour',
  cross: 'learn.legsCross',
  hooks: 'learn.legsHooks',
  'with-arm': 'learn.chokeWithArm',
  'behind-head': 'learn.chokeBehindHead',
  'palm-to-palm': 'learn.chokePalms',
} as const satisfies Record<string, LearnKey>

const cm = (n: number) => String(Math.round(Math.abs(n)))
function textOf(fit: BodyFit): string {
  if (fit.of === 'grip') return fit.hands ? t('learn.gripNearer', fit.hands) : t('learn.gripAsUsual')
  return t(WAYS[fit.way])
}
const marginText = ({ margin }: BodyFit) =>
  margin >= 0 ? t('learn.roomOf', { cm: cm(margin) }) : t('learn.shortBy', { cm: cm(margin) })
const setRule = (rule: keyof BodyRules, event: Event) =>
  clubs.edit(t('learn.bodyRules'), (draft) => setBodyRule(draft, rule, numberOf(event)))
</script>

<template>
  <section :aria-label="`${t('learn.bodies')}: ${them}`">
    <h3>{{ t('learn.bodiesOf', { us, them }) }}</h3>
    <ul>
      <li v-for="fit in fits.fits" :key="fit.of">
        {{ textOf(fit) }} <span class="muted">{{ marginText(fit) }}</span>
      </li>
    </ul>
    <p v-if="fits.lacking.length" class="small muted">
      {{
        t('learn.toMeasure', {
          what: fits.lacking
            .map(({ whose, measure }) =>
              t('learn.measureOf', { measure: MEASURE_NAMES[measure], who: whose === 'ours' ? us : them }),
            )
            .join('; '),
        })
      }}
    </p>
    <p class="small muted">{{ t('learn.rulesOfThumb') }}</p>
    <details class="off-paper">
      <summary>{{ t('learn.bodyRules') }}</summary>
      <label v-for="rule in keysOf(BODY_RULES)" :key="rule">
        <SteadyInput
          type="number"
          min="0.1"
          max="100"
          step="0.1"
          class="factor"
          :value="bodyRulesOf(present(clubs.club))[rule]"
          @change="(event) => setRule(rule, event)"
        />
        <span>{{ t(RULE_NAMES[rule]) }}</span>
      </label>
    </details>
  </section>
</template>

<style scoped>
section,
details[open] {
  display: grid;
  gap: var(--space-8);
}

label {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}

.factor {
  flex: none;
  width: 84px;
}
</style>
