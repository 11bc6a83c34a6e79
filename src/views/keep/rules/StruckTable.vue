<script setup lang="ts">
import { numberOf } from '../../../components/events'
import SteadyInput from '../../../components/SteadyInput.vue'
import { familyName } from '../../../core/chart/placeNames'
import type { RuleSet, Struck } from '../../../core/chart/rules/ruleSet'
import { t } from '../../../words/rules'

/** What being hit costs: where, and after how many seconds strikes end it against us. */
const props = defineProps<{ set: RuleSet; isOwn: boolean }>()
const emit = defineEmits<{ change: [struck: Struck[]] }>()
const AHEAD_SAYS = { ours: t('rules.weAreAhead'), even: t('rules.nobodyIsAhead'), theirs: t('rules.theyAreAhead') }

/** "mount, they are ahead". */
const where = ({ family, ahead }: Struck) =>
  t('rules.familyAhead', { family: family ? familyName(family) : t('rules.anywhereElse'), ahead: AHEAD_SAYS[ahead] })

function setEvery(one: Struck, event: Event) {
  const every = numberOf(event)
  emit(
    'change',
    (props.set.struck ?? []).map((other) => (other === one ? { ...one, every } : other)),
  )
}
</script>

<template>
  <section v-if="props.set.struck?.length" :aria-label="t('rules.whatBeingHitCosts')">
    <h3>{{ t('rules.whatBeingHitCosts') }}</h3>
    <p class="muted small">{{ t('rules.aGuessOfHowSoon') }}</p>
    <fieldset :disabled="!isOwn">
      <label v-for="one in props.set.struck" :key="`${one.ahead} ${one.family ?? ''}`">
        <span>{{ where(one) }}</span>
        <span class="small">
          <SteadyInput
            :value="one.every"
            :aria-label="t('rules.secondsUntilStoppedWhere', { where: where(one) })"
            @change="(event) => setEvery(one, event)"
          />
          s
        </span>
      </label>
    </fieldset>
  </section>
</template>

<style scoped src="./ruleFields.css"></style>
<style scoped>
h3 {
  margin-top: var(--space-16);
}

label {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--space-8);
  align-items: center;
  max-width: 420px;
  border-top: 1px solid var(--line);
}

.el-input {
  width: 72px;
}
</style>
