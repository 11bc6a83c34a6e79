<script setup lang="ts">
import { hundred } from '../../../core/say/figureText'
import RowButton from '../../../components/RowButton.vue'
import { useParts } from '../../parts/layout/parts'
import { t } from '../../../words/rules'

/** A set of rules in the list, with what the chart is worth under it. An empty id: all is allowed. */
export interface SetRow {
  id: string
  name: string
  worth: number | undefined
  /** How many moves it leaves out. */
  out: number
  costs: string
  rounds: string
  isOwn: boolean
}

/** All sets of rules: which is in force, and which is shown in detail. */
defineProps<{ rows: SetRow[]; here: string | undefined; inForce: string }>()
const emit = defineEmits<{ plan: [id: string]; choose: [id: string] }>()
const { show } = useParts()

function choose(id: string) {
  emit('choose', id)
  show('sheet')
}
</script>

<template>
  <section class="sets off-paper" :aria-label="t('rules.setsOfRules')">
    <h1>{{ t('common.rules') }}</h1>
    <p class="muted small">{{ t('rules.whatAnEventAllowsWhatIt') }}</p>
    <el-radio-group
      :model-value="inForce"
      @change="(id: string | number | boolean | undefined) => emit('plan', String(id ?? ''))"
    >
      <ul>
        <li v-for="row in rows" :key="row.id" :class="{ here: row.id === here }">
          <el-radio :value="row.id" :data-tip="t('rules.inForce')"
            ><span class="readers-only">{{ t('rules.rowInForce', { row: row.name }) }}</span></el-radio
          >
          <component :is="row.id ? RowButton : 'span'" class="row" @click="row.id && choose(row.id)">
            <span class="name"
              >{{ row.name }}<span v-if="row.isOwn" class="muted small">&nbsp;{{ t('rules.yours') }}</span></span
            >
            <span class="muted small">{{
              [
                row.rounds,
                row.out
                  ? t('rules.movesOut', { moves: t('count.move', row.out) })
                  : row.id
                    ? t('rules.noMoveOut')
                    : t('rules.nothingIsLeftOut'),
              ]
                .filter(Boolean)
                .join(' · ')
            }}</span>
          </component>
          <span class="worth">
            <b>{{ row.worth === undefined ? '…' : hundred(row.worth) }}</b>
            <span v-if="row.costs" class="small muted">{{ row.costs }}</span>
          </span>
        </li>
      </ul></el-radio-group
    >
    <p class="muted small">
      {{ t('rules.theOneWithTheDotIs') }}
    </p>
  </section>
</template>

<style scoped>
.sets {
  padding: var(--space-16) var(--space-16) var(--space-32);
}

.el-radio-group,
ul {
  display: block;
}

ul {
  margin: var(--space-12) 0;
}

li {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr) auto;
  gap: var(--space-12);
  align-items: center;
  padding: 0 var(--space-8);
  border-top: 1px solid var(--line);
}

li.here {
  background: var(--panel);
  box-shadow: inset 4px 0 0 var(--ours);
}

.row {
  display: grid;
  padding: var(--space-8) 0;
}

.name {
  font: var(--weight-strong) var(--type-lead) / 1.25 var(--label);
}

.worth {
  display: grid;
  justify-items: end;
  font-family: var(--label);
}

.worth b {
  font: var(--weight-strong) var(--type-head) / 1.1 var(--label);
}
</style>
