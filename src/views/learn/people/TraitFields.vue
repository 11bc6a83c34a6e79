<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { TRAITS, type Trait } from '../../../core/club/athlete'
import type { ClubPerson } from '../../../core/club/person'
import FieldGrid from './FieldGrid.vue'
import { t } from '../../../words/learn'

/** What somebody is like against the usual in the group, on five steps; the numbers of a match-up follow from it. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ change: [traits: Record<string, number> | undefined] }>()
const NAMES: Record<Trait, string> = {
  arms: t('learn.arms'),
  legs: t('learn.legs'),
  neck: t('learn.neck'),
  height: t('learn.height'),
  weight: t('learn.weight'),
  hips: t('learn.hips'),
  shoulders: t('learn.shoulders'),
  grip: t('learn.grip'),
  speed: t('learn.speed'),
  wind: t('learn.wind'),
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
  <FieldGrid
    v-slot="{ field, label }"
    :title="t('learn.traits')"
    :help="t('learn.traitsHelp')"
    :fields="TRAITS"
    :names="NAMES"
  >
    <PickList
      :value="stepOf(field)"
      :options="options(field)"
      :aria-label="label"
      @change="(step: string) => set(field, step)"
    />
  </FieldGrid>
</template>
