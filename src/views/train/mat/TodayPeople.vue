<script setup lang="ts">
import { computed } from 'vue'
import { guestJoins, isOutForToday, joinClass, leaveClass } from '../../../core/club/edits/live'
import { coachStepsIn } from '../../../core/club/edits/livePairs'
import { isMinor } from '../../../core/club/person'
import { COACH } from '../../../core/club/whoIsThere'
import MinorsWithAdults from '../../parts/club/MinorsWithAdults.vue'
import type { Guests } from '../../../core/club/session'
import { membersOf } from '../../../core/club/whoIsThere'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** Who is here: somebody comes late or goes by one press, which mends the fewest pairs and none that works. */
const emit = defineEmits<{ close: [] }>()
const clubs = useClubs()
const { live, session, people, edit, nameOf } = useLiveClass()
const out = computed(() => live.value?.out ?? [])
const here = computed(() => people.value.filter(({ id }) => !out.value.includes(id)))
const others = computed(() =>
  membersOf(present(clubs.club)).filter(({ id }) => !session.value?.people.includes(id) || out.value.includes(id)),
)
const hasCoach = computed(() =>
  (live.value?.mats ?? []).some(({ queue }) => queue.some((pair) => pair.people.includes(COACH.id))),
)
/** A minor waits for a partner. */
const needsReason = computed(() =>
  (live.value?.mats ?? []).some(({ queue }) =>
    queue.some(({ people: ids }) => ids.length === 1 && here.value.some((one) => one.id === ids[0] && isMinor(one))),
  ),
)
const isKept = (id: string) => live.value?.hurt.some((one) => one.person === id && isOutForToday(one)) ?? false

const leave = (id: string) =>
  edit(t('train.nameGoes', { name: nameOf(id) }), (draft) => leaveClass(draft, id, Date.now()))
const join = (id: string, name: string) => edit(t('train.nameIsHere', { name }), (draft) => joinClass(draft, id))
const stepIn = () => edit(t('train.coachStepsIn'), (draft) => coachStepsIn(draft))
const guest = (age: keyof Guests) => edit(t('train.aGuest'), (draft) => guestJoins(draft, age))
</script>

<template>
  <section class="people" :aria-label="t('train.whoIsHere')">
    <header>
      <h2>{{ t('train.whoIsHere') }}</h2>
      <el-button class="press" @click="emit('close')">{{ t('train.back') }}</el-button>
    </header>
    <p class="row">
      <el-button class="press" @click="guest('adults')">{{ t('train.aGuestAdult') }}</el-button>
      <el-button class="press" @click="guest('children')">{{ t('train.aGuestChild') }}</el-button>
      <el-button v-if="hasCoach" class="press" @click="leave(COACH.id)">{{ t('train.coachStepsOut') }}</el-button>
      <el-button v-else class="press" @click="stepIn">{{ t('train.coachStepsIn') }}</el-button>
    </p>
    <MinorsWithAdults v-if="session && needsReason" :session="session" />
    <h3>{{ t('train.comesNow') }}</h3>
    <p class="row">
      <el-button
        v-for="one in others"
        :key="one.id"
        class="press"
        :disabled="isKept(one.id)"
        @click="join(one.id, one.name)"
        >{{ one.name }}</el-button
      >
    </p>
    <h3>{{ t('train.hereSoFar') }}</h3>
    <ul>
      <li v-for="one in here" :key="one.id">
        {{ one.name }}
        <el-button class="press" :aria-label="t('train.nameGoes', { name: one.name })" @click="leave(one.id)">{{
          t('train.goes')
        }}</el-button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.people {
  display: grid;
  gap: var(--space-8);
  align-self: stretch;
  text-align: left;
}

header,
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
}

ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(320px, 100%), 1fr));
  gap: var(--space-4) var(--space-24);
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}

.people .press {
  min-height: 48px;
  font-size: var(--type-lead);
}
</style>
