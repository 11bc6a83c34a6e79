<script setup lang="ts">
import { computed, ref } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import PickList from '../../../components/PickList.vue'
import TabLinks from '../../../components/TabLinks.vue'
import { membersOf } from '../../../core/club/whoIsThere'
import { byRegion, memoryOf, Practised, type Memory } from '../../../core/learn/practice'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { useLog } from '../../parts/club/log'
import PrintButton from '../../parts/print/PrintButton.vue'
import { PEOPLE_TABS } from './tabs'
import { t } from '../../../words/learn'

/** What was shown, drilled and landed, region by region, and what is due again: of the club, a class, or one person. */
const clubs = useClubs()
const { log } = useLog()
const CLUB = 'club'
const whose = ref(CLUB)
const options = computed(() => {
  const { people, sessions } = present(clubs.club)
  const coming = sessions.filter(({ when }) => log.value !== null && when >= log.value.now)
  return [
    { value: CLUB, label: t('learn.everybody') },
    ...coming.map(({ id, when }) => ({ value: `class ${id}`, label: t('learn.whoComesOn', { day: dayText(when) }) })),
    ...membersOf({ people }).map(({ id, name }) => ({ value: `person ${id}`, label: name })),
  ]
})
const people = computed((): string[] => {
  const club = present(clubs.club)
  const [kind, id] = whose.value.split(' ')
  if (kind === 'person') return [id ?? '']
  if (kind === 'class') return lookUp(club.sessions, id)?.people ?? []
  return membersOf(club).map((one) => one.id)
})
const practised = computed(() => log.value && new Practised(log.value.chart, log.value.club, log.value.now))
const regions = computed(() => {
  if (!log.value || !practised.value) return []
  const { chart, now } = log.value
  const memory = memoryOf(practised.value, people.value, now)
  const nameOf = (id: string) => lookUp(chart.moves, id)?.name ?? ''
  return byRegion(chart, memory).map(({ key, name, records }) => ({
    ...{ key, name, records: records.filter(isKnown).map((one) => ({ ...one, name: nameOf(one.move) })) },
    fresh: records.filter((one) => !isKnown(one)).map((one) => nameOf(one.move)),
    due: records.filter(({ due, shown }) => due * 2 > shown).length,
  }))
})
/** Whether anybody has had anything of it. */
const isKnown = ({ shown, drilled, landed }: Memory) => shown + drilled + landed > 0
const COLUMNS = ['shown', 'drilled', 'landed'] as const
const HEADS = { shown: t('learn.shown'), drilled: t('learn.drilled'), landed: t('learn.landedLive') }
const isOne = computed(() => people.value.length === 1)
const cell = (n: number, { of }: Memory) => (isOne.value ? (n ? t('learn.yes') : '–') : t('learn.nOf', { n, of }))
const share = (n: number, of: number) => `${of ? Math.round((100 * n) / of) : 0}%`

/** The move of which it is asked who has not been shown it. */
const asked = ref<string | null>(null)
const notShown = computed(() => {
  if (!practised.value || asked.value === null) return ''
  const { people: all } = present(clubs.club)
  const without = people.value.filter(
    (id) => practised.value?.of(id).find(({ move }) => move === asked.value)?.shown === null,
  )
  return without.map((id) => lookUp(all, id)?.name ?? '').join(', ') || t('learn.nobody')
})
</script>

<template>
  <section class="memory" :aria-label="t('learn.memory')">
    <TabLinks :label="t('learn.people')" :tabs="PEOPLE_TABS" at="memory" />
    <header>
      <h1>{{ t('learn.memory') }}</h1>
      <PickList
        class="whose"
        :value="whose"
        :options="options"
        :aria-label="t('learn.whose')"
        @change="(of: string) => (whose = of)"
      />
      <PrintButton />
    </header>
    <p class="small muted">{{ t('learn.howDue') }}</p>
    <p v-if="!log" class="muted">{{ t('learn.noChartOpen') }}</p>
    <section v-for="region in regions" :key="region.key" :aria-label="region.name" class="keep-together">
      <h2>
        {{ region.name }}
        <span v-if="region.due" class="due">{{ t('learn.nDue', region.due) }}</span>
      </h2>
      <table v-if="region.records.length">
        <thead>
          <tr>
            <td></td>
            <th v-for="column in COLUMNS" :key="column" scope="col">{{ HEADS[column] }}</th>
            <th scope="col">{{ t('learn.dueAgain') }}</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="one in region.records" :key="one.move">
            <tr>
              <th scope="row">
                <el-button
                  v-if="!isOne"
                  link
                  :aria-expanded="asked === one.move"
                  @click="asked = asked === one.move ? null : one.move"
                  >{{ one.name }}</el-button
                >
                <template v-else>{{ one.name }}</template>
              </th>
              <td v-for="column in COLUMNS" :key="column">
                {{ cell(one[column], one) }}
                <span class="bar" aria-hidden="true"
                  ><i :class="column" :style="{ width: share(one[column], one.of) }"></i
                ></span>
              </td>
              <td :class="{ late: one.due }">{{ one.due ? cell(one.due, one) : '–' }}</td>
            </tr>
            <tr v-if="asked === one.move">
              <td colspan="5" class="who">{{ t('learn.notShownTo', { names: notShown }) }}</td>
            </tr>
          </template>
        </tbody>
      </table>
      <p v-if="region.fresh.length" class="small muted">
        {{ t('learn.notHadYet', { names: region.fresh.join(', ') }) }}
      </p>
    </section>
  </section>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped src="./hadTable.css"></style>
<style scoped>
.memory {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 900px;
  padding: var(--space-16);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
  align-items: center;
}

.whose {
  width: 260px;
}

th[scope='row'] .el-button {
  height: auto;
  min-height: 24px;
  padding: 0;
  white-space: normal;
  text-align: left;
}

.bar {
  display: block;
  height: 4px;
  border-radius: var(--corner-full);
  background: var(--track);
}

.bar i {
  display: block;
  height: 100%;
  border-radius: inherit;
  background: var(--muted);
}

.bar .landed {
  background: var(--ours);
}

.late {
  color: var(--caution);
  font-weight: var(--weight-strong);
}

.who {
  white-space: normal;
  text-align: left;
}

@media screen and (width < 1024px) {
  th[scope='row'] .el-button {
    min-width: var(--target);
    min-height: var(--target);
  }
}
</style>
