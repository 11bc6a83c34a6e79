<script setup lang="ts">
import { ArrowLeft, InfoFilled } from '@element-plus/icons-vue'
import { provideParts, type Part } from './parts'
import { t } from '../../../words'

/**
 * A list, the sheet of what is chosen in it, and more about a part of that: side by side where there is room, else one
 * after the other with a way back. `list`: the name of the list; `about`: of what the third part is about, if anything;
 * `headed`: the part that has the heading of the screen, which another part that stands alone is given.
 */
const {
  list,
  about = '',
  first = 'sheet',
  headed = 'sheet',
} = defineProps<{ list: string; about?: string; first?: Part; headed?: Part }>()
const { only, show } = provideParts(first)
</script>

<template>
  <div class="parts" :class="{ three: about && !only, one: only }">
    <h1 v-if="only && only !== headed" class="readers-only">{{ only === 'list' ? list : about || list }}</h1>
    <div v-if="only && only !== 'list'" class="ways off-paper">
      <el-button v-if="only === 'sheet'" text :icon="ArrowLeft" @click="show('list')">{{ list }}</el-button>
      <el-button v-else text :icon="ArrowLeft" @click="show('sheet')">{{ t('common.back') }}</el-button>
      <el-button v-if="only === 'sheet' && about" text class="more" :icon="InfoFilled" @click="show('about')">{{
        t('frame.aboutNamed', { name: about })
      }}</el-button>
    </div>
    <slot v-if="!only || only === 'list'" name="list" />
    <slot v-if="!only || only === 'sheet'" />
    <slot v-if="about && (!only || only === 'about')" name="about" />
  </div>
</template>

<style scoped>
.parts {
  --list: 280px;
  --about: 300px;

  display: grid;
  grid-template-rows: minmax(0, 1fr);
  grid-template-columns: var(--list-width, var(--list)) minmax(0, 1fr);
  height: 100%;
}

.three {
  grid-template-columns: var(--list-width, var(--list)) minmax(0, 1fr) var(--about-width, var(--about));
}

.one {
  grid-template-rows: auto minmax(0, 1fr);
  grid-template-columns: minmax(0, 1fr);
}

/* A list alone has no way back above it. */
.one > :slotted(:last-child) {
  grid-row-end: -1;
}

.one:not(:has(> .ways)) {
  grid-template-rows: minmax(0, 1fr);
}

.ways {
  display: flex;
  justify-content: space-between;
  border-bottom: 1px solid var(--line);
}

.ways .el-button {
  min-width: 0;
}

.more :deep(> span) {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 1;
}

.parts > :slotted(*) {
  min-width: 0;
  overflow-y: auto;
}

.parts:not(.one) > :slotted(:first-child) {
  border-right: 1px solid var(--line);
}

.parts > :slotted(aside) {
  padding: var(--space-16);
  background: var(--panel);
}

.three > :slotted(aside) {
  border-left: 1px solid var(--line);
}

@media (width >= 1600px) {
  .parts {
    --list: 320px;
    --about: 420px;
  }
}

@media (height < 480px) {
  .parts {
    height: auto;
  }

  .parts > :slotted(*) {
    overflow: visible;
  }
}

@media print {
  .parts {
    display: block;
    height: auto;
  }

  .parts > :slotted(*) {
    overflow: visible;
    border: 0;
  }
}
</style>
