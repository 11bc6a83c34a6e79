<script setup lang="ts">
import { useRoute } from 'vue-router'
import { t } from '../../words'

/** An address that no screen has. */
const route = useRoute()
</script>

<template>
  <section class="unknown">
    <h1>{{ t('frame.unknownPlace') }}</h1>
    <p>
      <code>{{ route.path }}</code>
    </p>
    <p>{{ t('frame.thereIsNoPlaceOfThisAddress') }}</p>
    <RouterLink class="button primary" to="/desk">{{ t('common.desk') }}</RouterLink>
  </section>
</template>

<style scoped>
.unknown {
  display: grid;
  gap: var(--space-12);
  justify-items: start;
  padding: var(--space-24);
}
</style>
