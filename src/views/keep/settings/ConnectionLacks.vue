<script setup lang="ts">
import { CircleCheck, WarningFilled } from '@element-plus/icons-vue'
import { t } from '../../../words/settings'

/** What this browser lets Ataque do over this connection: some of it only where the address is safe (https). */
const HAS = [
  { says: t('settings.worksOffline'), is: 'serviceWorker' in navigator },
  { says: t('settings.keepsTheScreenOn'), is: 'wakeLock' in navigator },
  { says: t('settings.writesToAFolder'), is: 'showDirectoryPicker' in window },
]
const isSafe = window.isSecureContext
</script>

<template>
  <section class="panel" :aria-label="t('settings.thisConnection')">
    <h2>{{ t('settings.thisConnection') }}</h2>
    <ul>
      <li v-for="{ says, is } in HAS" :key="says">
        <component :is="is ? CircleCheck : WarningFilled" class="icon" :class="{ lacks: !is }" />
        {{ is ? says : t('settings.notHere', { says }) }}
      </li>
    </ul>
    <p v-if="!isSafe" class="muted small">{{ t('settings.overPlainHttp') }}</p>
    <p v-else-if="HAS.some(({ is }) => !is)" class="muted small">{{ t('settings.theBrowserCannot') }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-12);
  padding: var(--space-16);
}

li {
  display: flex;
  gap: var(--space-8);
  align-items: center;
}

.lacks {
  color: var(--caution);
}
</style>
