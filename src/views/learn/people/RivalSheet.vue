<script setup lang="ts">
import { useRouter } from 'vue-router'
import InlineText from '../../../components/InlineText.vue'
import NotesField from '../../../components/NotesField.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf, valueOf } from '../../../components/events'
import { setPerson } from '../../../core/club/edits/people'
import type { ClubPerson } from '../../../core/club/person'
import { useClubs } from '../../../stores/clubs'
import PrintButton from '../../parts/print/PrintButton.vue'
import DeletePerson from './DeletePerson.vue'
import HabitFields from './HabitFields.vue'
import MeasureFields from './MeasureFields.vue'
import RivalStudy from './RivalStudy.vue'
import TraitFields from './TraitFields.vue'
import { t } from '../../../words/learn'

/** Somebody whom ours meet: what is known of them, and what follows for us. */
const props = defineProps<{ person: ClubPerson }>()
const clubs = useClubs()
const router = useRouter()

function set<F extends Exclude<keyof ClubPerson, 'id'>>(field: F, value: ClubPerson[F] | undefined) {
  clubs.edit(t('learn.changeRival', { name: props.person.name }), (draft) =>
    setPerson(draft, props.person.id, field, value),
  )
}
const addNote = (note: string) => set('notes', [props.person.notes, note].filter(Boolean).join('\n'))
</script>

<template>
  <section class="rival" :aria-label="person.name">
    <header>
      <h2>
        <InlineText :value="person.name" :label="t('learn.rivalName')" required @change="(name) => set('name', name)" />
      </h2>
      <PrintButton />
    </header>
    <RivalStudy :person="person" />
    <HabitFields
      class="off-paper"
      :person="person"
      @change="(habits) => set('habits', habits)"
      @note="(note) => addNote(note)"
    />
    <label class="weight off-paper">
      <span class="label">{{ t('learn.weightInKg') }}</span>
      <SteadyInput
        type="number"
        min="5"
        max="300"
        :value="person.weight ?? ''"
        @change="(event) => set('weight', valueOf(event) ? numberOf(event) : undefined)"
      />
    </label>
    <TraitFields class="off-paper" :person="person" @change="(traits) => set('traits', traits)" />
    <MeasureFields class="off-paper" :person="person" @change="(measures) => set('measures', measures)" />
    <NotesField :value="person.notes" @change="(notes) => set('notes', notes || undefined)" />
    <DeletePerson :person="person" @deleted="router.push('/people/rivals')" />
  </section>
</template>

<style scoped>
.rival {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 760px;
  padding: var(--space-16);
}

header {
  display: flex;
  justify-content: space-between;
}

.weight {
  display: grid;
  gap: var(--space-4);
  max-width: 160px;
}
</style>
