<script setup lang="ts">
import { computed } from 'vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { headCount } from '../../../core/club/classPlan'
import { setComing, setGuests, setSession } from '../../../core/club/edits/sessions'
import type { Guests, Room, Session } from '../../../core/club/session'
import { membersOf, strictestOf, peopleOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import GiToday from './GiToday.vue'
import { t } from '../../../words/train'

/** Who comes to a class, by name or by number, and how many pairs fit on the mats. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const people = computed(() => membersOf(present(clubs.club)))
const room = computed((): Room => props.session.room ?? { standing: 10, ground: 10 })
const strictest = computed(() => {
  const { hasUnder14, hasMinor, hasBeginner } = strictestOf(peopleOf(present(clubs.club), props.session))
  if (hasUnder14) return t('train.strictUnder14')
  if (hasMinor) return t('train.strictUnder18')
  return hasBeginner ? t('train.strictFirstMonths') : ''
})

const setGuest = (age: keyof Guests, event: Event) =>
  clubs.edit(t('train.guests'), (draft) => setGuests(draft, props.session.id, age, numberOf(event)))
const setRoom = (field: keyof Room, event: Event) =>
  clubs.edit(t('train.roomOnTheMats'), (draft) =>
    setSession(draft, props.session.id, 'room', { ...room.value, [field]: numberOf(event) }),
  )
const setPerson = (id: string, name: string, comes: boolean) =>
  clubs.edit(comes ? t('train.nameComes', { name }) : t('train.nameDoesNotCome', { name }), (draft) =>
    setComing(draft, props.session.id, id, comes),
  )
</script>

<template>
  <section class="who" :aria-label="t('train.whoComes')">
    <h2>
      {{ t('train.whoComes') }} <span class="muted small">{{ t('train.nInAll', { n: headCount(session) }) }}</span>
    </h2>
    <p v-if="strictest" class="small strict">
      {{ strictest }}
      <RouterLink class="off-paper" to="/sessions/limits">{{ t('train.agesAndLimits') }}</RouterLink>
    </p>
    <ul v-if="people.length">
      <li v-for="one in people" :key="one.id">
        <el-checkbox
          :model-value="session.people.includes(one.id)"
          @change="(on: boolean) => setPerson(one.id, one.name, on)"
          >{{ one.name }}</el-checkbox
        >
      </li>
    </ul>
    <p v-else class="small off-paper">
      <RouterLink to="/people">{{ t('train.pasteNames') }}</RouterLink>
    </p>
    <GiToday v-if="session.people.length" :session="session" />
    <p class="numbers off-paper">
      <label>
        <span class="label">{{ t('train.guestsAdult') }}</span>
        <SteadyInput
          type="number"
          min="0"
          max="200"
          :value="session.guests?.adults ?? 0"
          @change="(event) => setGuest('adults', event)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.guestsChild') }}</span>
        <SteadyInput
          type="number"
          min="0"
          max="200"
          :value="session.guests?.children ?? 0"
          @change="(event) => setGuest('children', event)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.pairsStanding') }}</span>
        <SteadyInput
          type="number"
          min="1"
          max="200"
          :value="room.standing"
          @change="(event) => setRoom('standing', event)"
        />
      </label>
      <label>
        <span class="label">{{ t('train.pairsOnTheGround') }}</span>
        <SteadyInput
          type="number"
          min="1"
          max="200"
          :value="room.ground"
          @change="(event) => setRoom('ground', event)"
        />
      </label>
    </p>
  </section>
</template>

<style scoped>
.who {
  display: grid;
  gap: var(--space-8);
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 0 var(--space-12);
}

.strict {
  color: var(--caution);
}

.numbers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: var(--space-8);
}
</style>
