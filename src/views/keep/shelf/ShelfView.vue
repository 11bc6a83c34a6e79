<script setup lang="ts">
import { useShelf } from '../../../stores/shelf'
import ShelfSheet from './ShelfSheet.vue'
import { t } from '../../../words'

const store = useShelf()
void store.load()
</script>

<template>
  <ShelfSheet v-if="store.shelf" :shelf="store.shelf" />
  <p v-else class="muted" style="padding: 20px">{{ t('shelf.openingTheShelf') }}</p>
</template>
