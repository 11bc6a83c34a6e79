<script setup lang="ts">
import type { ShelfRegion } from '../../core/shelf/shelf'
import CheckMark from './CheckMark.vue'

/** What practitioners say of a region: the rules that they decide by, where they differ, and what is dangerous. */
defineProps<{ region: ShelfRegion }>()
</script>

<template>
  <div class="talk">
    <section v-if="region.cautions.length" class="caution">
      <h2>Mind</h2>
      <ul>
        <li v-for="one in region.cautions" :key="one.id">{{ one.text }}</li>
      </ul>
    </section>
    <section v-if="region.rules.length">
      <h2>They decide by</h2>
      <ul>
        <li v-for="one in region.rules" :key="one.id">
          <p>
            <span v-if="one.when" class="muted">{{ one.when }}: </span>{{ one.then }}.
          </p>
          <p v-if="one.because" class="muted small">{{ one.because }} <CheckMark v-if="one.check" /></p>
        </li>
      </ul>
    </section>
    <section v-if="region.variants.length">
      <h2>Where they differ</h2>
      <ul>
        <li v-for="one in region.variants" :key="one.id">
          <b>{{ one.question }}</b>
          <p v-for="view in one.views" :key="view" class="view">{{ view }}</p>
          <p v-if="one.reason" class="muted small">{{ one.reason }} <CheckMark v-if="one.check" /></p>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.talk {
  display: grid;
  gap: 14px;
}

li {
  padding: 6px 0;
  border-top: 1px solid var(--line);
}

.view {
  padding-left: 10px;
  border-left: 3px solid var(--line-ours);
  margin-top: 3px;
}

.caution {
  padding: 10px 12px;
  border: 1.5px solid var(--caution);
  border-radius: 8px;
  background: var(--caution-soft);
}
</style>
