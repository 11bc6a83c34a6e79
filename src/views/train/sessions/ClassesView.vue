<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { present } from '../../../core/sure'
import { lookUp } from '../../../core/chart/lookUp'
import { useClubs } from '../../../stores/clubs'
import ListAndSheet from '../../parts/layout/ListAndSheet.vue'
import BlockAbout from './BlockAbout.vue'
import ClassList from './ClassList.vue'
import ClassSheet from './ClassSheet.vue'
import { useAsked } from '../../parts/layout/asked'
import { provideClass } from './class'
import { blockTitle } from '../../parts/club/blocks'
import { t } from '../../../words/train'

/** The classes of the club; one of them by the minute; one of its blocks in detail. */
const clubs = useClubs()
const router = useRouter()
const asked = useAsked()
const newestFirst = computed(() => present(clubs.club).sessions.toSorted((a, b) => (a.when < b.when ? 1 : -1)))
const session = computed(() => {
  const { sessions, live } = present(clubs.club)
  return lookUp(sessions, asked('class')) ?? lookUp(sessions, live?.session) ?? newestFirst.value[0]
})
const block = computed(() => lookUp(session.value?.blocks ?? [], asked('block')))
provideClass(session, block)

const show = (id: string) => router.push({ path: '/sessions', query: { class: id, part: 'sheet' } })
</script>

<template>
  <ListAndSheet
    class="classes"
    :list="t('train.classes')"
    :about="block ? blockTitle(block) : ''"
    :first="block ? 'about' : session ? 'sheet' : 'list'"
  >
    <template #list><ClassList :sessions="newestFirst" :here="session?.id" @show="show" /></template>
    <ClassSheet v-if="session" :key="session.id" :session="session" />
    <section v-else class="empty">
      <h1>{{ t('train.classes') }}</h1>
      <p class="muted">{{ t('train.noClassYet') }}</p>
    </section>
    <template #about>
      <BlockAbout v-if="session && block" :key="block.id" :session="session" :block="block" />
    </template>
  </ListAndSheet>
</template>

<style scoped>
.classes {
  --list-width: 280px;
  --about-width: 340px;
}

.empty {
  padding: var(--space-16);
}
</style>
