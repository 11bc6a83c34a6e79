<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { forkOf, type Climb } from '../../../../core/climb/climb'
import { signed } from '../../../../core/say/figureText'
import { ribbonSentence } from './climb'
import { t } from '../../../../words/slope'

/** The fork of a move: what they do, what we answer, what that is worth; the dearest first. */
const props = defineProps<{ climb: Climb; move: string; isPressed: boolean }>()
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const fork = computed(() => forkOf(props.climb, props.move))
const own = computed(() => fork.value.own)
const open = () => own.value && router.push({ path: `/worksheet/${own.value.from}`, query: { move: props.move } })
</script>

<template>
  <aside class="panel card" :class="{ pointed: !isPressed }" :aria-label="own?.name">
    <template v-if="own">
      <h2>{{ own.name }}</h2>
      <p>{{ ribbonSentence(own) }}</p>
      <ul>
        <li v-for="one in fork.replies" :key="one.key">
          <b :class="{ leak: one.cost > 0, trap: one.cost < 0 }">{{ signed(-one.cost / 100) }}</b>
          <span>{{ ribbonSentence(one) }}</span>
        </li>
      </ul>
      <p v-if="isPressed" class="ways">
        <el-button @click="open">{{ t('slope.openItsFork') }}</el-button>
        <el-button text @click="emit('close')">{{ t('slope.showAllAgain') }}</el-button>
      </p>
    </template>
  </aside>
</template>

<style scoped>
.card {
  position: absolute;
  right: var(--space-16);
  bottom: var(--space-16);
  display: grid;
  gap: var(--space-8);
  width: 360px;
  max-height: 300px;
  padding: var(--space-12) var(--space-16);
  box-shadow: var(--shadow);
  overflow-y: auto;
}

h2 {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

li {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  gap: var(--space-8);
  padding: var(--space-4) 0;
  border-top: 1px dotted var(--strong-line);
}

.leak {
  color: var(--leak);
}

.trap {
  color: var(--trap);
}

/* It does not come between the pointer and what is pointed at. */
.pointed {
  pointer-events: none;
}

.ways {
  display: flex;
  gap: var(--space-8);
}
</style>
