<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import LineForm from '../../../components/LineForm.vue'
import { addPeople } from '../../../core/club/edits/people'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { useAsked } from '../../parts/layout/asked'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import ClubList from '../../parts/club/ClubList.vue'
import ClubRow from '../../parts/club/ClubRow.vue'
import NothingChosen from '../../parts/club/NothingChosen.vue'
import RivalSheet from './RivalSheet.vue'
import { PEOPLE_TABS } from './tabs'
import { t } from '../../../words/learn'

/** Whom ours meet in matches: what they do, what we have for it, and what it is worth against them. */
const clubs = useClubs()
const router = useRouter()
const asked = useAsked()
const rivals = computed(() => present(clubs.club).people.filter(({ isRival }) => isRival))
const here = computed(() => lookUp(rivals.value, asked('person')))
const show = (person: string) => router.push({ path: '/people/rivals', query: { person, part: 'sheet' } })

function add(name: string) {
  let ids: string[] = []
  clubs.edit(t('learn.newRival'), (draft) => void (ids = addPeople(draft, [name], { isRival: true })))
  if (ids[0] !== undefined) void show(ids[0])
}
</script>

<template>
  <ListAndSheet :list="t('learn.rivals')" first="list" headed="list">
    <template #list>
      <ClubList :name="t('learn.rivals')" :tabs="PEOPLE_TABS" at="rivals">
        <template #add>
          <h1>{{ t('learn.rivals') }}</h1>
          <LineForm
            :label="t('learn.newRival')"
            :placeholder="t('learn.newRivalHint')"
            :give="t('learn.addRival')"
            @give="add"
          />
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
    <NothingChosen v-else :says="t('learn.whatARivalIs')" />
  </ListAndSheet>
</template>
