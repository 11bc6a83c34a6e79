<script setup lang="ts">
import type { Press } from './press'

/** Buttons two by three at the thumb's end, and smaller ones under them; or a list that is scrolled. */
defineProps<{ presses: readonly Press[]; under: readonly Press[]; isList: boolean }>()
</script>

<template>
  <div class="ends" :class="{ list: isList }">
    <div class="most">
      <el-button
        v-for="press in presses"
        :key="press.key"
        class="press"
        :class="{ ours: press.isOurs }"
        @click="press.does()"
        ><span v-if="press.letter" class="letter">{{ press.letter }}</span
        >{{ press.name }}</el-button
      >
    </div>
    <div v-if="under.length" class="under">
      <el-button v-for="press in under" :key="press.key" class="press" @click="press.does()">{{
        press.name
      }}</el-button>
    </div>
  </div>
</template>

<style scoped>
.ends {
  display: flex;
  flex: 1;
  flex-direction: column;
  gap: var(--space-8);
  justify-content: end;
  min-height: 0;
}

.most {
  display: grid;
  flex: 0 1 auto;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  grid-auto-rows: minmax(64px, 120px);
  gap: var(--space-8);
  overflow-y: auto;
}

.list .most {
  grid-template-columns: minmax(0, 1fr);
  grid-auto-rows: 64px;
}

.under {
  display: grid;
  grid-auto-columns: minmax(0, 1fr);
  grid-auto-flow: column;
  gap: var(--space-8);
}

.under .press {
  font-size: var(--type-lead);
}

.ours {
  border-color: var(--ours);
  background: var(--ours-soft);
}

.letter {
  margin-right: var(--space-8);
  color: var(--theirs);
}
</style>
