<script setup lang="ts">
import { computed, ref } from 'vue'
import PickList from '../../../components/PickList.vue'
import { lookedAt, mistakesOf, noteSeen, seenBefore, walkAgain, walksOf, FEW_PAIRS } from '../../../core/club/walks'
import type { Session } from '../../../core/club/session'
import { lookUp } from '../../../core/chart/lookUp'
import { lastOf, present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { aboutText, blockTitle } from '../../parts/club/blocks'
import { t } from '../../../words/train'

/** One press for each pair that is looked at: the mistake that it shows, or that all is well. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const charts = useCharts()
const picked = ref('')
const blocks = computed(() => props.session.blocks.filter(({ about, mistake }) => about ?? mistake))
const block = computed(
  () => lookUp(blocks.value, picked.value) ?? lookUp(blocks.value, clubs.club?.live?.block) ?? blocks.value[0],
)
const walks = computed(() => (block.value ? walksOf(props.session, block.value.id) : []))
const walk = computed(() => lastOf(walks.value))
const pairs = computed(() => (walk.value ? lookedAt(walk.value) : 0))

const mistakes = computed(() => {
  const { value: one } = block
  if (!one) return []
  const before = seenBefore(present(clubs.club), props.session, one)
  const rank = (says: string) => (before.includes(says) ? before.indexOf(says) : before.length)
  return mistakesOf(charts.chart, one)
    .toSorted((a, b) => rank(a.says) - rank(b.says))
    .map((mistake) => ({
      ...mistake,
      isBefore: before.includes(mistake.says),
      counts: walks.value
        .map((each) => t('train.nOfPairs', { n: each.mistakes[mistake.says] ?? 0, pairs: lookedAt(each) }))
        .join(t('train.then')),
    }))
})
/** What to say: the fix of what is seen most, once it is clear enough. */
const worst = computed(() => {
  const seen = lastOf(Object.entries(walk.value?.mistakes ?? {}).sort(([, a], [, b]) => a - b))
  return seen && mistakes.value.find(({ says }) => says === seen[0])
})

function see(mistake: string | null) {
  const { value: one } = block
  if (!one) return
  clubs.edit(mistake ?? t('train.fine'), (draft) => noteSeen(draft, props.session.id, one.id, mistake))
}
function again() {
  const { value: one } = block
  if (one) clubs.edit(t('train.lookAgain'), (draft) => walkAgain(draft, props.session.id, one.id))
}
</script>

<template>
  <section class="walk" :aria-label="t('frame.walkRound')">
    <header>
      <RouterLink to="/sessions">{{ t('frame.sessions') }}</RouterLink>
      <RouterLink v-if="clubs.club?.live" to="/mat">{{ t('frame.mat') }}</RouterLink>
      <el-button class="undo" :disabled="!clubs.steps.undo" @click="clubs.undo()">{{ t('train.undo') }}</el-button>
    </header>
    <h1>{{ block ? aboutText(charts.chart, block) || blockTitle(block) : t('frame.walkRound') }}</h1>
    <PickList
      v-if="blocks.length > 1"
      :value="block?.id"
      :options="blocks.map((one) => ({ value: one.id, label: `${blockTitle(one)} ${aboutText(charts.chart, one)}` }))"
      :aria-label="t('train.block')"
      @change="(id) => (picked = id)"
    />
    <p v-if="!block || !mistakes.length">{{ t('train.nothingToLookFor') }}</p>
    <template v-else>
      <p class="say" :class="{ muted: pairs < FEW_PAIRS }">
        <template v-if="pairs < FEW_PAIRS">{{ t('train.tooFewToSay', { pairs }) }}</template>
        <template v-else-if="worst">{{ worst.fix || worst.says }}</template>
        <template v-else>{{ t('train.allIsWell') }}</template>
      </p>
      <ul>
        <li v-for="one in mistakes" :key="one.says">
          <el-button class="press" @click="see(one.says)"
            ><span class="name"
              >{{ one.says }} <span v-if="one.isBefore" class="small">{{ t('train.seenLastTime') }}</span></span
            ><span class="count">{{ one.counts }}</span></el-button
          >
        </li>
        <li>
          <el-button class="press fine" @click="see(null)"
            ><span class="name">{{ t('train.fine') }}</span
            ><span class="count">{{ walk?.fine ?? 0 }}</span></el-button
          >
        </li>
      </ul>
      <el-button class="again" :disabled="!pairs" @click="again">{{ t('train.lookAgain') }}</el-button>
    </template>
  </section>
</template>

<style scoped>
.walk {
  display: flex;
  flex-direction: column;
  gap: var(--space-12);
  min-height: 100%;
  max-width: 720px;
  margin: 0 auto;
  padding: var(--space-12);
}

header {
  display: flex;
  gap: var(--space-16);
  align-items: center;
}

.undo {
  min-height: 48px;
  margin-left: auto;
}

.say {
  min-height: 3em;
  font-size: var(--type-head);
}

ul {
  display: grid;
  gap: var(--space-8);
  margin-top: auto;
}

ul .press {
  width: 100%;
  font: var(--type-lead) / 1.3 var(--text);
}

.press :deep(> span) {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--space-12);
  align-items: center;
  width: 100%;
  text-align: left;
}

.count {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.fine {
  border-color: var(--ours);
  background: var(--ours-soft);
}

.again {
  min-height: 64px;
}
</style>
