<script setup lang="ts">
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** Who works with whom in a block that has no rounds on the mats; who has no partner. */
const { live, initialsOf, nameOf, heedsOf } = useLiveClass()
</script>

<template>
  <ul class="pairs" :aria-label="t('train.pairs')">
    <template v-for="mat in live?.mats ?? []" :key="mat.n">
      <li v-for="{ people } in mat.queue" :key="people.join()" class="panel">
        <b v-for="id in people" :key="id" :data-tip="nameOf(id)">{{ initialsOf(id) }}</b>
        <span v-if="people.length < 2" class="small heeds">{{ t('train.noPartnerYet') }}</span>
        <span v-else-if="heedsOf(people).length" class="small heeds">{{ heedsOf(people).join(' ') }}</span>
      </li>
    </template>
  </ul>
</template>

<style scoped>
.pairs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: var(--space-4);
  align-self: stretch;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: 0 var(--space-12);
  justify-content: center;
  padding: var(--space-4) var(--space-8);
}

b {
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
}

.heeds {
  color: var(--caution);
}
</style>
