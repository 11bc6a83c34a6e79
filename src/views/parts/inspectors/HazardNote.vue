<script setup lang="ts">
import { computed, ref } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import type { Hazard } from '../../../core/chart/hazard'
import type { Move } from '../../../core/chart/move'
import { useFigures } from '../../../stores/figures'
import { t } from '../../../words/inspector'

/** What a move can injure, how fast, and what the partners must heed. */
const props = defineProps<{ move: Move }>()
const emit = defineEmits<{ set: [hazard: Hazard] }>()
const figures = useFigures()
const hazard = computed((): Hazard => props.move.hazard ?? {})
/** The rest of it, each with its question and what stands there while nothing is said. */
const MORE = [
  { field: 'control', label: t('inspector.whoeverAttacksControls'), none: t('inspector.whatMustBeHeld') },
  { field: 'tap', label: t('inspector.whoeverDefendsTaps'), none: t('inspector.whenAndByHandFootOr') },
  { field: 'protect', label: t('inspector.andIsKeptSafeBy'), none: t('inspector.headTuckedChinPost') },
] as const
/** Stopping where the finish would begin. */
const isGoal = computed(() => figures.scenario?.goal.includes(props.move.from))
const isAsked = ref(false)
const isShown = computed(() => props.move.hazard !== undefined || props.move.to === 'finish' || isAsked.value)
const set = (field: keyof Hazard, value: string) => emit('set', { ...props.move.hazard, [field]: value })
</script>

<template>
  <section v-if="isShown" class="caution" :aria-label="t('inspector.caution')">
    <h3>{{ t('inspector.caution') }}</h3>
    <p v-if="!hazard.part" class="small">{{ t('inspector.nothingIsSaidYetOfWhat') }}</p>
    <p class="small">
      <span class="muted">{{ t('inspector.canInjure') }}&nbsp;</span
      ><InlineText
        :value="hazard.part ?? ''"
        :label="t('inspector.whatItCanInjure')"
        :placeholder="t('inspector.jointOrNeck')"
        @change="set('part', $event)"
      /><br />
      <span class="muted">{{ t('inspector.howFast') }}&nbsp;</span
      ><InlineText
        :value="hazard.speed ?? ''"
        :label="t('inspector.howFast2')"
        :placeholder="t('inspector.howFast3')"
        @change="set('speed', $event)"
      />
    </p>
    <p>
      <InlineText
        :value="hazard.caution ?? ''"
        :label="t('inspector.whatThePartnersHeed')"
        :placeholder="t('inspector.tapEarlyApplySlowlyLetGo')"
        multiline
        @change="set('caution', $event)"
      />
    </p>
    <p v-for="{ field, label, none } in MORE" :key="field" class="small">
      <span class="muted">{{ label }}: </span>
      <InlineText :value="hazard[field] ?? ''" :label="label" :placeholder="none" @change="set(field, $event)" />
    </p>
    <p v-if="move.to === 'finish'">
      <el-button
        text
        :aria-pressed="isGoal"
        :data-tip="t('inspector.theGoalIsThePositionThat')"
        @click="figures.setScenario({ goal: isGoal ? [] : [move.from] })"
      >
        {{ isGoal ? t('inspector.stoppingAtControlPlanTheFinish') : t('inspector.positionOnlyStopAtControl') }}
      </el-button>
    </p>
    <p class="small muted">
      {{ t('inspector.tapEarlyApplySlowlyReleaseAt') }}
    </p>
  </section>
  <el-button v-else text @click="isAsked = true">{{ t('inspector.caution2') }}</el-button>
</template>

<style scoped src="./inspector.css"></style>
