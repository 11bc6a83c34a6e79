<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { TRAITS, type Trait } from '../../../core/club/athlete'
import type { ClubPerson } from '../../../core/club/person'
import { t, type LearnKey } from '../../../words/learn'

/** What somebody is like against the usual in the group, on five steps; the numbers of a match-up follow from it. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ change: [traits: Record<string, number> | undefined] }>()
const NAMES: Record<Trait, LearnKey> = {
  arms: 'learn.arms',
  legs: 'learn.legs',
  neck: 'learn.neck',
  height: 'learn.height',
  weight: 'learn.weight',
  hips: 'learn.hips',
  shoulders: 'learn.shoulders',
  grip: 'learn.grip',
  speed: 'learn.speed',
  wind: 'learn.wind',
}
const STEPS = [
  { value: '-2', label: t('learn.muchLess') },
  { value: '-1', label: t('learn.less') },
  { value: '0', label: t('learn.usual') },
  { value: '1', label: t('learn.more') },
  { value: '2', label: t('learn.muchMore') },
]
/** Of the weight the step follows from its measure where none is set. */
const options = (trait: Trait) => [{ value: '', label: trait === 'weight' ? t('learn.asMeasured') : '–' }, ...STEPS]
const stepOf = (trait: Trait) => {
  const step = props.person.traits?.[trait]
  return step === undefined ? '' : String(step)
}
function set(trait: Trait, step: string) {
  const { [trait]: _, ...others } = props.person.traits ?? {}
  const traits = step === '' ? others : { ...others, [trait]: Number(step) }
  emit('change', Object.keys(traits).length ? traits : undefined)
}
</script>

<template>
  <section :aria-label="t('learn.traits')">
    <h3>{{ t('learn.traits') }}</h3>
    <p class="small muted">{{ t('learn.traitsHelp') }}</p>
    <div class="traits">
      <label v-for="trait in TRAITS" :key="trait">
        <span class="label">{{ t(NAMES[trait]) }}</span>
        <PickList
          :value="stepOf(trait)"
          :options="options(trait)"
          :aria-label="t(NAMES[trait])"
          @change="(step: string) => set(trait, step)"
        />
      </label>
    </div>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-8);
}

.traits {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: var(--space-8) var(--space-12);
}

label {
  display: grid;
  gap: var(--space-4);
}
</style>
