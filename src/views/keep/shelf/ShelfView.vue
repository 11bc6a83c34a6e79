<script setup lang="ts">
import { useShelf } from '../../../stores/shelf'
import ShelfSheet from './ShelfSheet.vue'
import { t } from '../../../words/shelf'

const store = useShelf()
void store.load()
</script>

<template>
  <ShelfSheet v-if="store.shelf" :shelf="store.shelf" />
  <p v-else class="muted opening">{{ t('shelf.openingTheShelf') }}</p>
</template>

<style scoped>
.opening {
  padding: var(--space-24);
}
</style>
