<script setup lang="ts">
import { computed } from 'vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { numberOf } from '../../../components/events'
import { RULE_TAGS } from '../../../core/chart/rules/ruleSet'
import { backToOurLimits, setLimit } from '../../../core/club/edits/limits'
import { limitsOf, type Limits } from '../../../core/club/limits'
import { present } from '../../../core/sure'
import { useClubs } from '../../../stores/clubs'
import { t } from '../../../words/train'

/** Whom this club keeps from what, and how far apart two may be: ours unless it says otherwise. */
const clubs = useClubs()
const limits = computed(() => limitsOf(present(clubs.club)))
const isOwn = computed(() => present(clubs.club).limits !== undefined)
/** Strikes are never opened under 18, so they are no limit of a club's. */
const { strikes: _, ...rest } = RULE_TAGS
const TAGS: Record<string, string> = { finish: t('train.allFinishes'), ...rest }
const KEPT = [
  { field: 'under14', name: t('train.under14') },
  { field: 'under18', name: t('train.under18') },
  { field: 'firstMonths', name: t('train.firstMonths') },
] as const
const NUMBERS = [
  { field: 'minorsApart', name: t('train.limitMinorsApart'), max: 100 },
  { field: 'adultsApart', name: t('train.limitAdultsApart'), max: 100 },
  { field: 'satOut', name: t('train.limitSatOut'), max: 20 },
  { field: 'caught', name: t('train.limitCaught'), max: 99 },
  { field: 'stays', name: t('train.limitStays'), max: 20 },
] as const

const set = <F extends keyof Limits>(field: F, value: Limits[F] | undefined) =>
  clubs.edit(t('train.agesAndLimits'), (draft) => setLimit(draft, field, value))
function keep(field: (typeof KEPT)[number]['field'], tag: string, isKept: boolean) {
  const others = limits.value[field].filter((one) => one !== tag)
  set(field, isKept ? [...others, tag] : others)
}
const backToOurs = () => clubs.edit(t('train.backToOurs'), backToOurLimits)
</script>

<template>
  <section class="limits" :aria-label="t('train.agesAndLimits')">
    <p class="off-paper">
      <RouterLink to="/people">{{ t('train.people') }}</RouterLink>
    </p>
    <header>
      <h1>{{ t('train.agesAndLimits') }}</h1>
      <el-button :disabled="!isOwn" @click="backToOurs">{{ t('train.backToOurs') }}</el-button>
    </header>
    <p>{{ t('train.ourDefaults') }}</p>
    <table>
      <caption>
        {{
          t('train.whatIsNotFor')
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ t('train.notFor') }}</th>
          <th v-for="{ field, name } in KEPT" :key="field" scope="col">{{ name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(name, tag) in TAGS" :key="tag">
          <th scope="row">{{ name }}</th>
          <td v-for="{ field, name: whom } in KEPT" :key="field">
            <el-checkbox
              :model-value="limits[field].includes(tag)"
              :aria-label="t('train.whatForWhom', { what: name, whom })"
              @change="(on: boolean) => keep(field, tag, on)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p class="small">{{ t('train.neverOpened') }}</p>
    <div class="numbers">
      <label v-for="{ field, name, max } in NUMBERS" :key="field">
        <SteadyInput
          type="number"
          min="0"
          :max="max"
          :value="limits[field]"
          @change="(event) => set(field, numberOf(event))"
        />
        <span>{{ name }}</span>
      </label>
    </div>
  </section>
</template>

<style scoped>
.limits {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  max-width: 760px;
  padding: var(--space-16);
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
  justify-content: space-between;
}

table {
  border-collapse: collapse;
}

caption {
  padding-bottom: var(--space-8);
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  text-align: left;
}

th {
  text-align: left;
}

thead th {
  padding-right: var(--space-8);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}

tbody tr {
  border-top: 1px dotted var(--strong-line);
}

tbody th {
  font-weight: var(--weight-plain);
}

.numbers {
  display: grid;
  gap: var(--space-8);
}

.numbers label {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr);
  gap: var(--space-12);
  align-items: center;
}
</style>
