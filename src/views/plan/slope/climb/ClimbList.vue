<script setup lang="ts">
import { computed } from 'vue'
import RowButton from '../../../../components/RowButton.vue'
import { forkOf, type Climb } from '../../../../core/climb/climb'
import { hundred } from '../../../../core/say/figureText'
import { badgeText, ribbonSentence } from './climb'
import { t } from '../../../../words/slope'

/** The climb told step by step, for a phone and for readers: where, what it is worth, and what is tried there. */
const props = defineProps<{ climb: Climb; forks: Climb; move: string | null }>()
const emit = defineEmits<{ pick: [move: string | null] }>()
const steps = computed(() =>
  props.climb.ledges
    .map((ledge, i) => ({ ledge, time: ledge.second ?? i }))
    .sort((a, b) => a.time - b.time)
    .map(({ ledge }) => ({
      ledge,
      moves: [...props.climb.moves, ...props.climb.folded.moves]
        .filter(({ from }) => from === ledge.position)
        .sort((a, b) => b.per - a.per),
    })),
)
</script>

<template>
  <ol class="steps" :aria-label="t('slope.ourPlanStepByStep')">
    <li v-for="{ ledge, moves } in steps" :key="ledge.position">
      <p class="place">
        <b>{{ ledge.name }}</b> <span class="worth">{{ hundred(ledge.value) }}</span>
      </p>
      <span class="track" aria-hidden="true"><span class="bar" :style="{ width: `${50 + 50 * ledge.value}%` }" /></span>
      <ul>
        <li v-for="one in moves" :key="one.key">
          <RowButton :aria-expanded="move === one.move" @click="emit('pick', move === one.move ? null : one.move)">
            {{ ribbonSentence(one) }} <span class="badge">{{ badgeText(one) }}</span>
          </RowButton>
          <ul v-if="move === one.move" class="replies">
            <li v-for="reply in forkOf(forks, one.move).replies" :key="reply.key">{{ ribbonSentence(reply) }}</li>
          </ul>
        </li>
      </ul>
    </li>
  </ol>
</template>

<style scoped>
.steps {
  display: grid;
  gap: var(--space-16);
  padding: var(--space-16);
}

.place {
  display: flex;
  justify-content: space-between;
  font: var(--type-lead) / 1.3 var(--label);
}

.track {
  display: block;
  height: 6px;
  border-radius: var(--corner-full);
  background: var(--track);
}

.bar {
  display: block;
  height: 100%;
  border-radius: var(--corner-full);
  background: var(--ours);
}

.steps .plain {
  min-height: var(--target);
}

.badge {
  color: var(--leak);
}

.replies {
  padding-left: var(--space-16);
  color: var(--muted);
}
</style>
