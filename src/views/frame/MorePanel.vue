<script setup lang="ts">
import { useRoute } from 'vue-router'
import { watch } from 'vue'
import { useActing } from '../../stores/acting'
import { useDeeds, useSavedText } from './deeds'
import PlaceLink from './PlaceLink.vue'
import { PLACES } from './places'
import { t } from '../../words'

/** All screens and all that the frame does, over the foot of a narrow screen. */
const emit = defineEmits<{ close: []; palette: []; shortcuts: [] }>()
const acting = useActing()
const route = useRoute()
const deeds = useDeeds((what) => (what === 'palette' ? emit('palette') : emit('shortcuts')))
const saved = useSavedText()
watch(
  () => route.fullPath,
  () => emit('close'),
)
</script>

<template>
  <el-drawer
    :model-value="true"
    direction="btt"
    size="auto"
    :title="t('frame.more')"
    class="more-panel"
    @close="emit('close')"
  >
    <nav :aria-label="t('frame.allScreens')">
      <PlaceLink v-for="place in PLACES" :key="place.to" class="button" :place="place" />
    </nav>
    <div class="deeds">
      <el-button
        v-for="deed in deeds"
        :key="deed.key"
        :icon="deed.icon"
        :disabled="deed.isOff ?? false"
        @click="deed.run()"
        >{{ deed.name }}</el-button
      >
    </div>
    <p v-if="acting.isThere" class="muted">
      {{ saved }}
      <el-button v-if="acting.unsaved.length" @click="acting.retry()">{{ t('frame.tryAgain') }}</el-button>
    </p>
  </el-drawer>
</template>

<style scoped>
nav,
.deeds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: var(--space-8);
  margin-bottom: var(--space-16);
}

.el-button {
  justify-content: start;
  justify-self: stretch;
}

[aria-current] {
  border-color: var(--ours);
  background: var(--ours-soft);
}
</style>
