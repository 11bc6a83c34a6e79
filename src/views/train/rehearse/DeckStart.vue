<script setup lang="ts">
import { computed } from 'vue'
import type { ClubPerson } from '../../../core/club/person'
import type { Standing } from '../../../core/rehearse/schedule'
import { CHAIRS, type Chair } from './deck'
import StandingLine from './StandingLine.vue'
import WhoRehearses from './WhoRehearses.vue'
import { t } from '../../../words/rehearse'

/** Before a sitting: how the deck stands, who rehearses, and how. */
const props = defineProps<{
  people: readonly ClubPerson[]
  standing: Standing | null
  isEmpty: boolean
  unkeptBecause: string
}>()
const emit = defineEmits<{ begin: [] }>()
const who = defineModel<string>('who', { required: true })
const chair = defineModel<Chair>('chair', { required: true })
const isPicked = defineModel<boolean>('picked', { required: true })
const hasBothSides = defineModel<boolean>('sides', { required: true })

const CHAIR_NAMES: Record<Chair, string> = {
  ours: t('rehearse.ourChair'),
  theirs: t('rehearse.theirChair'),
  both: t('rehearse.bothChairs'),
}
const chairs = CHAIRS.map((value) => ({ value, label: CHAIR_NAMES[value] }))
const ways = [
  { value: true, label: t('rehearse.pick') },
  { value: false, label: t('rehearse.sayIt') },
]
const waiting = computed(() => (props.standing ? props.standing.due + props.standing.fresh : 0))
</script>

<template>
  <div class="start">
    <h1>{{ t('rehearse.seeAndDo') }}</h1>
    <p>{{ t('rehearse.whatItIs') }}</p>
    <slot />
    <StandingLine v-if="standing" :standing="standing" />
    <form class="panel" :aria-label="t('rehearse.setUp')" @submit.prevent="emit('begin')">
      <WhoRehearses v-model="who" :people="people" :unkept-because="unkeptBecause" />
      <div>
        <span class="label">{{ t('rehearse.how') }}</span>
        <el-segmented v-model="isPicked" :options="ways" :aria-label="t('rehearse.how')" />
      </div>
      <div>
        <span class="label">{{ t('rehearse.chair') }}</span>
        <el-segmented v-model="chair" :options="chairs" :aria-label="t('rehearse.chair')" />
      </div>
      <el-checkbox v-model="hasBothSides">{{ t('rehearse.bothSides') }}</el-checkbox>
      <el-button v-if="waiting" type="primary" class="big" native-type="submit">{{ t('rehearse.begin') }}</el-button>
      <p v-else-if="isEmpty" class="muted">{{ t('rehearse.noQuestions') }}</p>
    </form>
  </div>
</template>

<style scoped src="./start.css"></style>
