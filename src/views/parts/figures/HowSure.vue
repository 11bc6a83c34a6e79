<script setup lang="ts">
import { computed } from 'vue'
import { counted, hundred } from '../../../core/say/figureText'
import { sayRange } from '../../../core/say/range'
import { useRange } from '../../../stores/range'

/** The range of the headline: asked for with one press, watched, and given up with another. */
const store = useRange()
const says = computed(() => (store.range ? sayRange(store.range, hundred).join(' ') : ''))
const close = computed(() => store.range?.close.length ?? 0)
</script>

<template>
  <span class="sure">
    <span v-if="store.progress !== null" role="status">
      <progress :value="store.progress" aria-label="How far the range is" />
      <button type="button" class="button quiet" @click="store.stop()">Stop</button>
    </span>
    <button
      v-else-if="!store.range"
      type="button"
      class="button quiet"
      title="How far the worth could be off, your tries being guesses"
      @click="store.ask()"
    >
      How sure?
    </button>
    <span v-else role="status" :title="says">
      <b>{{ hundred(store.range.kept.low) }} to {{ hundred(store.range.kept.high) }}</b>
      <RouterLink v-if="close" to="/runs/what-if" class="small"
        >{{ counted(close, 'place', 'places') }} too close to call</RouterLink
      >
    </span>
  </span>
</template>

<style scoped>
.sure > span {
  display: grid;
  justify-items: center;
  gap: 2px;
}

b {
  font: 700 20px/1.2 var(--label);
  white-space: nowrap;
}

progress {
  width: 96px;
  accent-color: var(--ours);
}
</style>
