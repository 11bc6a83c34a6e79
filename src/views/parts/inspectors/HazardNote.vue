<script setup lang="ts">
import { computed, ref } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import type { Hazard } from '../../../core/chart/hazard'
import type { Move } from '../../../core/chart/move'
import { useFigures } from '../../../stores/figures'

/** What a move can injure, how fast, and what the partners must heed. */
const props = defineProps<{ move: Move }>()
const emit = defineEmits<{ set: [hazard: Hazard] }>()
const figures = useFigures()
const hazard = computed((): Hazard => props.move.hazard ?? {})
/** The rest of it, each with its question and what stands there while nothing is said. */
const MORE = [
  { field: 'control', label: 'whoever attacks controls', none: 'what must be held' },
  { field: 'tap', label: 'whoever defends taps', none: 'when, and by hand, foot or voice' },
  { field: 'protect', label: 'and is kept safe by', none: 'head tucked, chin, post' },
] as const
/** Stopping where the finish would begin. */
const isGoal = computed(() => figures.scenario?.goal.includes(props.move.from))
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
    <p v-for="{ field, label, none } in MORE" :key="field" class="small">
      <span class="muted">{{ label }}: </span>
      <InlineText :value="hazard[field] ?? ''" :label="label" :placeholder="none" @change="set(field, $event)" />
    </p>
    <p v-if="move.to === 'finish'">
      <button
        type="button"
        class="button quiet"
        :aria-pressed="isGoal"
        title="The goal is the position that the finish begins from"
        @click="figures.setScenario({ goal: isGoal ? [] : [move.from] })"
      >
        {{ isGoal ? 'Stopping at control: plan the finish again' : 'Position only: stop at control' }}
      </button>
    </p>
    <p class="small muted">
      Tap early, apply slowly, release at once. Beginners and minors only with a coach beside them.
    </p>
  </section>
  <button v-else type="button" class="button quiet" @click="isAsked = true">+ caution</button>
</template>

<style scoped src="./inspector.css"></style>
