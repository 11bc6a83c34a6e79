<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { t } from '../../../words/rehearse'

/** Homework that was given, the newest first, and whether answers have come. */
const clubs = useClubs()
const rows = computed(() => {
  const { people, homework = [] } = present(clubs.club)
  return homework.toReversed().map(({ id, us, title, given, cards, back }) => ({
    ...{ id, us, name: lookUp(people, us)?.name ?? us },
    says: t('rehearse.givenLine', { title, cards: t('rehearse.question', cards), day: dayText(given) }),
    back: back === undefined ? t('rehearse.notBack') : t('rehearse.backOn', { day: dayText(back) }),
    isBack: back !== undefined,
  }))
})
</script>

<template>
  <section :aria-label="t('rehearse.givenSoFar')">
    <h2>{{ t('rehearse.givenSoFar') }}</h2>
    <p v-if="!rows.length" class="muted">{{ t('rehearse.noneGiven') }}</p>
    <ul v-else>
      <li v-for="one in rows" :key="one.id">
        <RouterLink :to="{ path: '/people/page', query: { person: one.us } }">{{ one.name }}</RouterLink>
        <span>{{ one.says }}</span>
        <span :class="{ muted: !one.isBack }">{{ one.back }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
  padding: var(--space-8) 0;
  border-top: 1px dotted var(--strong-line);
}
</style>
