<script setup lang="ts">
import type { Governing } from '../../../core/shelf/principles'
import { t } from '../../../words/shelf'

/** Principles with a move: those that govern it, and those to which it is an exception, with the reason. */
defineProps<{ governing: readonly Governing[] }>()
</script>

<template>
  <section v-if="governing.length" :aria-label="t('shelf.principles')">
    <h3>{{ t('shelf.always') }}</h3>
    <ul>
      <li v-for="{ principle, exception } in governing" :key="principle.id" :data-tip="principle.why">
        <template v-if="exception"
          ><s>{{ principle.says }}</s>
          <span class="small muted">{{ t('shelf.notHereException', { exception }) }}</span></template
        >
        <template v-else>{{ principle.says }}</template>
      </li>
    </ul>
  </section>
</template>
