<script setup lang="ts">
import { computed } from 'vue'
import { setField } from '../../../core/chart/edits/fields'
import { setTurn } from '../../../core/chart/edits/records'
import { lookUp } from '../../../core/chart/lookUp'
import type { Move } from '../../../core/chart/move'
import { upperFirst } from '../../../core/say/speech'
import { frameOf } from '../../../core/sides/frames'
import { sidesDisagree, turnConcerns, TURN_IDS, TURNS, turnsOf, type Turn } from '../../../core/sides/turns'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from './sheet'
import { t } from '../../../words/inspector'

/** What a move does to the sides, where its position has a frame that knows them. */
const props = defineProps<{ move: Move }>()
const { chart } = useWorksheet()
const charts = useCharts()
const facts = computed(() => frameOf(lookUp(chart.value.positions, props.move.from)?.frame)?.facts ?? [])
const keys = computed(() => facts.value.map(({ key }) => key))
/** Those that change a fact of this frame. */
const turns = computed(() => TURN_IDS.filter((turn) => turnConcerns(turn).some((key) => keys.value.includes(key))))
const wrong = computed(() => sidesDisagree(chart.value, props.move))

function toggle(turn: Turn, isOn: boolean) {
  const { id, name } = props.move
  charts.edit(t('common.sidesOfName', { name }), (draft) => setTurn(draft, id, turn, isOn))
}

function setAcross(isAcross: boolean) {
  const { id, name } = props.move
  charts.edit(t('common.sidesOfName', { name }), (draft) => setField(draft, 'moves', id, 'across', isAcross))
}
</script>

<template>
  <div v-if="turns.length || keys.includes('near')" class="across turns">
    <span class="label">{{ t('inspector.whatItDoesToTheSides') }}</span>
    <el-checkbox
      v-for="turn in turns"
      :key="turn"
      :model-value="turnsOf(move).includes(turn) ?? false"
      @change="(on: boolean) => toggle(turn, on)"
    >
      {{ TURNS[turn].says }}</el-checkbox
    >
    <el-checkbox
      v-if="keys.includes('near')"
      :model-value="move.across ?? false"
      @change="(on: boolean) => setAcross(on)"
    >
      {{ t('inspector.goesAcrossToTheOtherSide') }}</el-checkbox
    >
    <p v-for="one in wrong" :key="one.ask" class="wrong small">
      {{
        t('inspector.askBringsAfterThisMoveLanding', {
          ask: upperFirst(one.ask),
          brings: String(one.brings),
          landing: String(one.landing),
        })
      }}
    </p>
  </div>
</template>

<style scoped>
.turns label {
  display: block;
  font-size: var(--type-body);
}

.wrong {
  color: var(--leak);
}
</style>
