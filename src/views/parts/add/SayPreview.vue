<script setup lang="ts">
import { computed } from 'vue'
import TenTries from '../../../components/TenTries.vue'
import type { Preview } from './preview'
import { t } from '../../../words/add'

/** What a text that is being typed would make: the tries drawn, and what is new to the chart. */
const props = defineProps<{ preview: Preview }>()
const KINDS = {
  position: t('frame.position'),
  move: t('frame.move'),
  reaction: t('add.whatTheyDo'),
  cue: t('add.whatWeSee'),
}
const fresh = computed(() => {
  const seen = new Set<string>()
  return props.preview.created.filter(({ kind, name }) => !seen.has(`${kind} ${name}`) && seen.add(`${kind} ${name}`))
})
</script>

<template>
  <div class="preview" :aria-label="t('add.whatThisWouldMake')" role="group">
    <div v-for="{ name, leads, parts, text } in preview.strips" :key="name" class="one">
      <b>{{ name }}</b> <span class="muted small">→ {{ leads }}</span>
      <span class="strip" inert><TenTries :parts="parts" :name="name" small /></span>
      <span class="small">{{ text }}</span>
    </div>
    <p v-if="preview.seen" class="small">
      <b>{{ t('add.onComingHere') }}</b> {{ preview.seen }}
    </p>
    <p v-if="fresh.length" class="small">
      <span class="muted">{{ t('add.new') }}</span>
      <span v-for="{ kind, name } in fresh" :key="`${kind} ${name}`" class="new"
        >{{ name }} <i>{{ KINDS[kind] }}</i></span
      >
    </p>
    <p v-else-if="preview.strips.length" class="muted small">{{ t('add.nothingNewAllOfItIs') }}</p>
  </div>
</template>

<style scoped>
.preview {
  display: grid;
  gap: var(--space-4);
  padding: var(--space-8) var(--space-8);
  border-left: 3px solid var(--ours-soft);
}

.one {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-4) var(--space-12);
}

b {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

.new {
  margin-left: var(--space-12);
}

i {
  color: var(--muted);
}
</style>
