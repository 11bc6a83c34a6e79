<script setup lang="ts">
import { MoreFilled } from '@element-plus/icons-vue'
import { computed, defineAsyncComponent, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useActing } from '../../stores/acting'
import { useSavedText } from './deeds'
import PlaceLink from './PlaceLink.vue'
import { isOf, PLACES } from './places'
import { t } from '../../words'

/** The four screens that are used most, and the way to all others, at the foot of a narrow screen. */
const emit = defineEmits<{ palette: []; shortcuts: [] }>()
/** Loaded on demand: it is seldom open. */
const MorePanel = defineAsyncComponent(() => import('./MorePanel.vue'))
const acting = useActing()
const route = useRoute()
const saved = useSavedText()
const isOpen = ref(false)
const places = PLACES.filter(({ inBar }) => inBar)
const isElsewhere = computed(() => !places.some((place) => isOf(place, route.path)))

function ask(what: 'palette' | 'shortcuts') {
  isOpen.value = false
  if (what === 'palette') emit('palette')
  else emit('shortcuts')
}
</script>

<template>
  <nav class="on-rail off-paper" :aria-label="t('frame.screens')">
    <PlaceLink v-for="place in places" :key="place.to" :place="place" />
    <el-button text :class="{ here: isElsewhere }" :aria-expanded="isOpen" @click="isOpen = !isOpen"
      ><MoreFilled class="icon" />{{ t('frame.more')
      }}<span v-if="acting.unsaved.length" class="unsaved">&nbsp;!</span></el-button
    >
    <p v-if="acting.isThere" class="readers-only" role="status" data-test="saved">{{ saved }}</p>
  </nav>
  <MorePanel v-if="isOpen" @close="isOpen = false" @palette="ask('palette')" @shortcuts="ask('shortcuts')" />
</template>

<style scoped>
nav {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 1fr));
  height: var(--foot);
}

a,
.el-button {
  display: grid;
  justify-self: stretch;
  gap: 0;
  align-content: center;
  justify-items: center;
  min-width: 0;
  padding: 0;
  border: 0;
  border-top: 3px solid transparent;
  border-radius: 0;
  font: var(--weight-strong) var(--type-body) / 1.2 var(--label);
  text-decoration: none;
}

.el-button :deep(> span) {
  display: grid;
  justify-items: center;
}

.here {
  border-color: var(--rail-mark);
  background: var(--rail-here);
  color: var(--rail-strong);
}

nav :deep(.icon) {
  width: 22px;
  height: 22px;
}

.unsaved {
  position: absolute;
  color: var(--rail-caution);
}
</style>
