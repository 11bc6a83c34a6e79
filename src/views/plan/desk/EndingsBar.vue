<script setup lang="ts">
import { computed } from 'vue'
import { hundred, share } from '../../../core/say/figureText'
import type { Endings } from '../../../core/insight/figures'

/** What becomes of a hundred, as a bar and in numbers. */
const props = defineProps<{ endings: Endings; names: Readonly<Record<keyof Endings, string>> }>()
const ORDER = ['finish', 'ours', 'even', 'theirs', 'caught'] as const satisfies (keyof Endings)[]
const parts = computed(() => ORDER.map((key) => ({ key, name: props.names[key], value: props.endings[key] })))
/** What reads as none has no part of the bar. */
const drawn = computed(() => parts.value.filter(({ value }) => share(value) !== '0'))
</script>

<template>
  <div class="endings">
    <div class="bar" role="img" :aria-label="parts.map(({ name, value }) => `${hundred(value)} ${name}`).join(', ')">
      <span v-for="part in drawn" :key="part.key" :class="part.key" :style="{ flexGrow: part.value }" />
    </div>
    <ul>
      <li v-for="part in parts" :key="part.key">
        <i :class="part.key" /><b>{{ share(part.value) }}</b> {{ part.name }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.endings {
  display: grid;
  gap: var(--space-12);
}

.bar {
  display: flex;
  gap: var(--space-4);
  height: 18px;
}

.bar span {
  min-width: 2px;
}

.bar .finish,
i.finish {
  background: var(--ours);
  border-radius: var(--corner-panel);
}

.bar .ours,
i.ours {
  background: color-mix(in srgb, var(--ours) 45%, var(--panel));
}

.bar .even,
i.even {
  background: var(--line);
}

.bar .theirs,
i.theirs {
  background: color-mix(in srgb, var(--theirs) 50%, var(--panel));
}

.bar .caught,
i.caught {
  background: var(--theirs);
  clip-path: polygon(0 0, calc(100% - 5px) 0, 100% 5px, 100% 100%, 0 100%);
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-16);
}

li {
  display: flex;
  align-items: center;
  gap: var(--space-8);
}

i {
  width: 14px;
  height: 12px;
}

b {
  font: var(--weight-strong) var(--type-lead) / 1 var(--label);
}
</style>
