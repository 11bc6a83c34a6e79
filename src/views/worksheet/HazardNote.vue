<script setup lang="ts">
import { computed, ref } from 'vue'
import InlineText from '../../components/InlineText.vue'
import type { Move } from '../../core/chart/move'

/** What a move can injure, how fast, and what the partners must heed. */
interface Hazard {
  part?: string
  speed?: string
  caution?: string
}

const props = defineProps<{ move: Move }>()
const emit = defineEmits<{ set: [hazard: Record<string, unknown>] }>()
const hazard = computed(() => (props.move.hazard ?? {}) as Hazard)
const isAsked = ref(false)
const isShown = computed(() => props.move.hazard !== undefined || props.move.to === 'finish' || isAsked.value)
const set = (field: keyof Hazard, value: string) => emit('set', { ...props.move.hazard, [field]: value })
</script>

<template>
  <section v-if="isShown" class="caution" aria-label="Caution">
    <h3>Caution</h3>
    <p v-if="!hazard.part" class="small">Nothing is said yet of what this can injure.</p>
    <p class="small">
      <span class="muted">can injure: </span
      ><InlineText
        :value="hazard.part ?? ''"
        label="What it can injure"
        placeholder="joint or neck"
        @change="set('part', $event)"
      /><br />
      <span class="muted">how fast: </span
      ><InlineText :value="hazard.speed ?? ''" label="How fast" placeholder="how fast" @change="set('speed', $event)" />
    </p>
    <p>
      <InlineText
        :value="hazard.caution ?? ''"
        label="What the partners heed"
        placeholder="Tap early. Apply slowly. Let go at the tap."
        multiline
        @change="set('caution', $event)"
      />
    </p>
    <p class="small muted">
      Tap early, apply slowly, release at once. Beginners and minors only with a coach beside them.
    </p>
  </section>
  <button v-else type="button" class="button slight" @click="isAsked = true">+ caution</button>
</template>

<style scoped src="./inspector.css"></style>
