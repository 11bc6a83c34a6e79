<script setup lang="ts">
import { computed } from 'vue'
import PickList from '../../../components/PickList.vue'
import { named } from '../../../components/options'
import { setSession } from '../../../core/club/edits/sessions'
import { knownOf } from '../../../core/club/whoIsThere'
import type { Session } from '../../../core/club/session'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { t } from '../../../words/train'

/** Who wears the gi today: tries with and without are counted apart, where it is said. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const WAYS = [
  { value: 'unsaid', label: t('train.giUnsaid') },
  { value: 'all', label: t('train.giAll') },
  { value: 'nobody', label: t('train.giNobody') },
  { value: 'some', label: t('train.giSome') },
] as const
type Way = (typeof WAYS)[number]['value']
const way = computed((): Way => {
  const { gi, people } = props.session
  if (!gi) return 'unsaid'
  if (people.every((id) => gi.includes(id))) return 'all'
  return gi.length ? 'some' : 'nobody'
})
const people = computed(() => named(knownOf(present(clubs.club), props.session)))
const set = (gi: string[] | undefined) =>
  clubs.edit(t('train.giToday'), (draft) => setSession(draft, props.session.id, 'gi', gi))
function pick(to: Way) {
  const { people: ids } = props.session
  set(to === 'unsaid' ? undefined : to === 'nobody' ? [] : to === 'all' ? [...ids] : ids.slice(0, 1))
}
</script>

<template>
  <p class="gi off-paper">
    <label>
      <span class="label">{{ t('train.giToday') }}</span>
      <PickList :value="way" :options="WAYS" @change="pick" />
    </label>
    <label v-if="way === 'some'">
      <span class="label">{{ t('train.whoWearsIt') }}</span>
      <el-select-v2
        multiple
        :model-value="session.gi ?? []"
        :options="people"
        @update:model-value="(ids: string[]) => set(ids)"
      />
    </label>
  </p>
</template>

<style scoped>
.gi {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: var(--space-8);
}

label {
  display: grid;
}
</style>
