<script setup lang="ts">
import { useRouter } from 'vue-router'
import { addRound } from '../../../core/chart/edits/positionalRounds'
import type { MoveId, PositionId, ReactionId } from '../../../core/chart/ids'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words'

/** One press makes a positional round of a leak or a loose end. */
const props = defineProps<{ name: string; position: PositionId; reaction: ReactionId; move: MoveId | null }>()
const charts = useCharts()
const router = useRouter()

async function make() {
  const { position, reaction, move, name } = props
  charts.edit(t('desk.aRoundName', { name }), (draft) => void addRound(draft, position, reaction, move))
  await router.push('/runs/rounds')
}
</script>

<template>
  <el-button text :aria-label="t('desk.aRoundOfName', { name })" :data-tip="t('desk.makeARoundOfIt')" @click="make">
    {{ t('desk.makeARound') }}
  </el-button>
</template>
