<script setup lang="ts">
import dayjs from 'dayjs'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import InlineText from '../../../components/InlineText.vue'
import LineForm from '../../../components/LineForm.vue'
import NotesField from '../../../components/NotesField.vue'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf, valueOf } from '../../../components/events'
import { setPerson } from '../../../core/club/edits/people'
import { AGE_BANDS, EXPERIENCE, isLongGone, isMinor, type ClubPerson } from '../../../core/club/person'
import { membersOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import DeletePerson from './DeletePerson.vue'
import LikesField from './LikesField.vue'
import MeasureFields from './MeasureFields.vue'
import TraitFields from './TraitFields.vue'
import { t as l } from '../../../words/learn'
import { t, type TrainKey } from '../../../words/train'

/** Somebody of the club. All but the name is optional. */
const props = defineProps<{ person: ClubPerson }>()
const clubs = useClubs()
const router = useRouter()
const AGES: Record<(typeof AGE_BANDS)[number], TrainKey> = {
  'under-10': 'train.under10',
  '10-13': 'train.from10',
  '14-17': 'train.from14',
  adult: 'train.adult',
}
const SO_FAR: Record<(typeof EXPERIENCE)[number], TrainKey> = {
  'first-months': 'train.firstMonths',
  some: 'train.someYears',
  competes: 'train.competes',
}
const ages = AGE_BANDS.map((value) => ({ value, label: t(AGES[value]) }))
const soFar = EXPERIENCE.map((value) => ({ value, label: t(SO_FAR[value]) }))
const others = computed(() =>
  membersOf(present(clubs.club))
    .filter(({ id }) => id !== props.person.id)
    .map(({ id, name }) => ({ value: id, label: name })),
)
/** Of minors the weight is only known by its band, of which the middle is kept. */
const [LIGHTEST, HEAVIEST, BAND] = [16, 100, 4]
const bandOf = (weight: number) => weight - ((weight - LIGHTEST) % BAND) + BAND / 2
const bands = [
  { value: '', label: t('common.none') },
  ...Array.from({ length: (HEAVIEST - LIGHTEST) / BAND }, (_, i) => {
    const from = LIGHTEST + i * BAND
    return { value: String(from + BAND / 2), label: t('train.fromToKg', { from, to: from + BAND }) }
  }),
]
const today = dayjs().format('YYYY-MM-DD')

function set<F extends Exclude<keyof ClubPerson, 'id'>>(field: F, value: ClubPerson[F] | undefined) {
  clubs.edit(t('train.changePerson', { name: props.person.name }), (draft) =>
    setPerson(draft, props.person.id, field, value),
  )
}
/** "Left shoulder": a side first, if there is one. */
function addSpared(text: string) {
  const [, side, part] = /^(left|right)?\s*(.+)$/i.exec(text) ?? []
  if (!part) return
  const one = { part: part.toLowerCase(), ...(side ? { side: side.toLowerCase() as 'left' | 'right' } : {}) }
  set('spares', [...(props.person.spares ?? []), one])
}
const clear = (at: number) => {
  const left = (props.person.spares ?? []).filter((_, i) => i !== at)
  set('spares', left.length ? left : undefined)
}
</script>

<template>
  <section class="person" :aria-label="person.name">
    <h2>
      <InlineText
        :value="person.name"
        :label="t('train.nameOrInitials')"
        required
        @change="(name) => set('name', name)"
      />
    </h2>
    <p>
      <RouterLink :to="{ path: '/people/page', query: { person: person.id } }">{{
        l('learn.aPageToShow', { name: person.name })
      }}</RouterLink>
    </p>
    <div class="fields">
      <label>
        <span class="label">{{ t('train.age') }}</span>
        <PickList :value="person.ageBand ?? 'adult'" :options="ages" @change="(age) => set('ageBand', age)" />
      </label>
      <label>
        <span class="label">{{ t('train.experience') }}</span>
        <PickList
          :value="person.experience ?? 'first-months'"
          :options="soFar"
          @change="(one) => set('experience', one)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.weight') }}</span>
        <PickList
          v-if="isMinor(person)"
          :value="person.weight === undefined ? '' : String(bandOf(person.weight))"
          :options="bands"
          @change="(band) => set('weight', band ? Number(band) : undefined)"
        />
        <SteadyInput
          v-else
          type="number"
          min="5"
          max="300"
          :value="person.weight ?? ''"
          @change="(event) => set('weight', valueOf(event) ? numberOf(event) : undefined)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.notWith') }}</span>
        <el-select-v2
          multiple
          filterable
          :model-value="person.notWith ?? []"
          :options="others"
          :placeholder="t('common.none')"
          @update:model-value="(ids: string[]) => set('notWith', ids.length ? ids : undefined)"
        />
      </label>
    </div>
    <section :aria-label="t('train.whatMustBeSpared')">
      <h3>{{ t('train.whatMustBeSpared') }}</h3>
      <ul>
        <li v-for="(one, i) in person.spares ?? []" :key="i" class="spared">
          <span
            >{{ [one.side, one.part].filter(Boolean).join(' ') }}
            <span v-if="one.since" class="muted small">{{ t('train.sinceDay', { day: one.since }) }}</span></span
          >
          <el-button @click="clear(i)">{{ t('train.cleared') }}</el-button>
        </li>
      </ul>
      <LineForm
        class="spare"
        :label="t('train.whatMustBeSpared')"
        :placeholder="t('train.leftShoulder')"
        :give="t('train.spareIt')"
        @give="addSpared"
      />
    </section>
    <el-checkbox
      v-if="isMinor(person)"
      :model-value="person.guardianAgrees ?? false"
      @change="(on: boolean) => set('guardianAgrees', on || undefined)"
      >{{ t('train.guardianAgrees') }}</el-checkbox
    >
    <p v-if="isLongGone(person, today)" class="gone">{{ t('train.notHereForAYear') }}</p>
    <p v-if="isMinor(person)" class="small muted">{{ t('train.aboutMinors') }}</p>
    <LikesField :person="person" @change="(likes) => set('likes', likes)" />
    <TraitFields :person="person" @change="(traits) => set('traits', traits)" />
    <MeasureFields v-if="!isMinor(person)" :person="person" @change="(measures) => set('measures', measures)" />
    <NotesField :value="person.notes" @change="(notes) => set('notes', notes || undefined)" />
    <DeletePerson :person="person" @deleted="router.push('/people')" />
  </section>
</template>

<style scoped>
.person {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 620px;
  padding: var(--space-16);
}

.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: var(--space-12);
}

.spare,
.spared {
  max-width: 420px;
}

.spared {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  justify-content: space-between;
  margin-bottom: var(--space-4);
}

.gone {
  color: var(--caution);
}
</style>
