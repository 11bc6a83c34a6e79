<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { addPeople } from '../../../core/club/edits/people'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { useAsked } from '../../parts/layout/asked'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import ClubList from '../../parts/club/ClubList.vue'
import ClubRow from '../../parts/club/ClubRow.vue'
import RivalSheet from './RivalSheet.vue'
import { PEOPLE_TABS } from './tabs'
import { t } from '../../../words/learn'

/** Whom ours meet in matches: what they do, what we have for it, and what it is worth against them. */
const clubs = useClubs()
const router = useRouter()
const asked = useAsked()
const rivals = computed(() => present(clubs.club).people.filter(({ isRival }) => isRival))
const here = computed(() => lookUp(rivals.value, asked('person')))
const name = ref('')
const show = (person: string) => router.push({ path: '/people/rivals', query: { person, part: 'sheet' } })

function add() {
  const own = name.value.trim()
  if (!own) return
  let ids: string[] = []
  clubs.edit(t('learn.newRival'), (draft) => void (ids = addPeople(draft, [own], { isRival: true })))
  name.value = ''
  if (ids[0] !== undefined) void show(ids[0])
}
</script>

<template>
  <ListAndSheet :list="t('learn.rivals')" first="list" headed="list">
    <template #list>
      <ClubList :name="t('learn.rivals')" :tabs="PEOPLE_TABS" at="rivals">
        <template #add>
          <h1>{{ t('learn.rivals') }}</h1>
          <form @submit.prevent="add">
            <el-input
              v-model="name"
              :aria-label="t('learn.newRival')"
              :placeholder="t('learn.newRivalHint')"
              @keydown.stop
            />
            <el-button native-type="submit">{{ t('learn.addRival') }}</el-button>
          </form>
          <p v-if="rivals.length > 1">
            <RouterLink to="/people/beside">{{ t('learn.besideEachOther') }}</RouterLink>
          </p>
        </template>
        <ClubRow v-for="one in rivals" :key="one.id" :here="one === here" @show="show(one.id)">
          <b>{{ one.name }}</b>
        </ClubRow>
      </ClubList>
    </template>
    <RivalSheet v-if="here" :key="here.id" :person="here" />
    <section v-else class="empty">
      <p class="muted">{{ t('learn.whatARivalIs') }}</p>
    </section>
  </ListAndSheet>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-8);
}

.empty {
  padding: var(--space-16);
}
</style>
