<script setup lang="ts">
import { computed } from 'vue'
import LineForm from '../../../components/LineForm.vue'
import PickList from '../../../components/PickList.vue'
import { lookUp } from '../../../core/chart/lookUp'
import type { ClubPerson } from '../../../core/club/person'
import { notedHabit } from '../../../core/learn/habitNote'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/learn'

/** What somebody always does, as it is written down; the numbers of a match-up follow it. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ change: [habits: Record<string, number> | undefined]; note: [note: string] }>()
const charts = useCharts()
const STEPS = [
  { value: '2', label: t('learn.always') },
  { value: '1', label: t('learn.often') },
  { value: '-1', label: t('learn.seldom') },
  { value: '-2', label: t('learn.never') },
  { value: '0', label: t('learn.likeOthers') },
]
const habits = computed(() =>
  Object.entries(props.person.habits ?? {}).map(([id, step]) => ({
    ...{ id, step: String(step) },
    name: lookUp(charts.chart?.reactions, id)?.name ?? id,
  })),
)
function set(reaction: string, step: number) {
  const { [reaction]: _, ...others } = props.person.habits ?? {}
  const all = step === 0 ? others : { ...others, [reaction]: step }
  emit('change', Object.keys(all).length ? all : undefined)
}
function add(text: string) {
  const found = notedHabit(text, charts.chart?.reactions ?? [])
  if (found) set(found.reaction, found.step)
  else {
    emit('note', text)
    charts.tell(t('learn.keptAsANote'))
  }
}
</script>

<template>
  <section :aria-label="t('learn.whatTheyAlwaysDo')">
    <h3>{{ t('learn.whatTheyAlwaysDo') }}</h3>
    <LineForm
      :label="t('learn.whatTheyAlwaysDo')"
      :placeholder="t('learn.habitHint')"
      :give="t('learn.writeItDown')"
      @give="add"
    />
    <ul>
      <li v-for="one in habits" :key="one.id">
        <span>{{ one.name }}</span>
        <PickList
          class="step"
          :value="one.step"
          :options="STEPS"
          :aria-label="t('learn.howOften', { name: one.name })"
          @change="(step: string) => set(one.id, Number(step))"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
section,
ul {
  display: grid;
  gap: var(--space-8);
}

li {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  justify-content: space-between;
}

.step {
  flex: none;
  width: 150px;
}
</style>
