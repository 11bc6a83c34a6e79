<script setup lang="ts">
import { useActing } from '../../stores/acting'
import { useDeeds, useSavedText } from './deeds'
import PlaceLink from './PlaceLink.vue'
import { GROUPS } from './places'
import { t } from '../../words'

/** All screens and what the frame does, at the side of a wide screen. */
const emit = defineEmits<{ palette: []; shortcuts: [] }>()
const acting = useActing()
const deeds = useDeeds((what) => (what === 'palette' ? emit('palette') : emit('shortcuts')))
const saved = useSavedText()
</script>

<template>
  <nav class="on-rail off-paper" :aria-label="t('frame.screens')">
    <RouterLink to="/desk" class="name">{{ t('frame.ataque') }}</RouterLink>
    <section v-for="group in GROUPS" :key="group.name">
      <h2>{{ group.name }}</h2>
      <PlaceLink v-for="place in group.places" :key="place.to" :place="place" />
    </section>
    <div class="foot">
      <el-button
        v-for="deed in deeds"
        :key="deed.key"
        :data-tip="deed.tip"
        text
        :icon="deed.icon"
        :aria-label="deed.name"
        :class="deed.key"
        :disabled="deed.isOff ?? false"
        @click="deed.run()"
        ><template v-if="deed.key === 'find'">{{ deed.name }}</template></el-button
      >
      <p v-if="acting.isThere" class="saved" role="status" data-test="saved">{{ saved }}</p>
      <el-button v-if="acting.unsaved.length" text class="retry" @click="acting.retry()">
        {{ t('frame.tryAgain') }}
      </el-button>
    </div>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-direction: column;
  gap: var(--space-12);
  width: 116px;
  padding: var(--space-12) 0 var(--space-8);
  overflow-y: auto;
}

.name {
  padding: 0 var(--space-12);
  color: var(--rail-strong);
  font: var(--weight-strong) var(--type-head) / 1.2 var(--label);
  text-decoration: none;
}

h2 {
  padding: 0 var(--space-12) var(--space-4);
  font: var(--type-body) / 1.3 var(--label);
}

section a {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  min-height: 34px;
  padding: 0 var(--space-8);
  border-left: 4px solid transparent;
  text-decoration: none;
  white-space: nowrap;
}

section a:hover {
  color: var(--rail-strong);
}

section a.here {
  border-color: var(--rail-mark);
  background: var(--rail-here);
  color: var(--rail-strong);
}

/* One line for what is found by its name, one for what is known by its sign. */
.foot {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  margin-top: auto;
  padding: 0 var(--space-4);
}

.foot .el-button {
  min-height: 32px;
  padding: 0;
  font-family: var(--label);
}

.foot .find {
  grid-column: 1 / -1;
  justify-content: start;
  padding: 0 var(--space-8);
}

.saved {
  grid-column: 1 / -1;
  min-height: calc(2.5em + var(--space-8));
  padding: var(--space-8) var(--space-8) 0;
  font: var(--type-body) / 1.25 var(--label);
}

.foot .retry {
  grid-column: 1 / -1;
  color: var(--rail-caution);
}
</style>
