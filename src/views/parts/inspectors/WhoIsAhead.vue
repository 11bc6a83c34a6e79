<script setup lang="ts">
import { computed } from 'vue'
import { setAhead } from '../../../core/chart/edits/records'
import { asksAhead, isGuess } from '../../../core/chart/guesses'
import type { Position } from '../../../core/chart/position'
import type { Ahead } from '../../../core/chart/words'
import { useCharts } from '../../../stores/charts'
import { t } from '../../../words/inspector'

/** Who is ahead in a position that was born by being named: taken from its name, or asked. */
const props = defineProps<{ position: Position; named?: boolean }>()
const charts = useCharts()
const CHOICES: Record<Ahead, string> = {
  ours: t('common.weAre'),
  even: t('inspector.nobodyIs'),
  theirs: t('common.theyAre'),
}
const asks = computed(() => asksAhead(props.position))
const isGuessed = computed(() => isGuess(props.position, 'ahead'))

function pick(ahead: Ahead) {
  const { id, name } = props.position
  charts.edit(t('inspector.aheadOfName', { name }), (draft) => setAhead(draft, id, ahead))
}
</script>

<template>
  <p
    class="ahead"
    :class="{ asks }"
    role="group"
    :aria-label="t('inspector.whoIsAheadInPosition', { position: position.name })"
  >
    <b v-if="named">{{ position.name }}:</b>
    <span>{{ asks ? t('inspector.whoIsAheadHere') : t('inspector.aheadHere') }}</span>
    <span class="choices">
      <el-button
        v-for="(text, ahead) in CHOICES"
        :key="ahead"
        :aria-pressed="!asks && position.ahead === ahead"
        @click="pick(ahead)"
      >
        {{ text }}
      </el-button>
    </span>
    <span v-if="isGuessed && !asks" class="muted small">{{ t('inspector.aGuessFromItsName') }}</span>
    <span v-if="named && position.out" class="muted small">
      {{
        t('inspector.aGoodPartnerIsOutAfter', {
          every: position.out.every,
          position: isGuess(position, 'out') ? t('common.aGuess') : '',
        })
      }}
    </span>
  </p>
</template>

<style scoped>
.ahead {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-4) var(--space-12);
}

.asks {
  color: var(--caution);
}

.choices {
  display: inline-flex;
}

.choices .el-button {
  min-height: var(--control);
  padding: 0 var(--space-12);
  border-radius: 0;
}

.choices .el-button + .el-button {
  margin-left: 0;
}

.choices .el-button:first-child {
  border-radius: var(--corner) 0 0 var(--corner);
}

.choices .el-button:last-child {
  border-radius: 0 var(--corner) var(--corner) 0;
}

[aria-pressed='true'] {
  background: var(--ours);
  color: var(--ours-ink);
}
</style>
