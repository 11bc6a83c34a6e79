<script setup lang="ts">
import { computed } from 'vue'
import { MAX_SHARPNESS } from '../../../core/game/scenario'
import type { ClubPerson } from '../../../core/club/person'
import WhoPartners from './WhoPartners.vue'
import WhoRehearses from './WhoRehearses.vue'
import { SHOT_CLOCKS } from './sparring'
import { t } from '../../../words/rehearse'

/** Before an exchange: how sharp the partner is, and how long one may think. */
defineProps<{
  seed: number
  isEmpty: boolean
  people: readonly ClubPerson[]
  /** Whom the partner can be: rivals too. */
  partners: readonly ClubPerson[]
  unkeptBecause: string
}>()
const who = defineModel<string>('who', { required: true })
const emit = defineEmits<{ begin: [] }>()
const sharpness = defineModel<number>('sharpness', { required: true })
const clock = defineModel<number>('clock', { required: true })
const clocks = SHOT_CLOCKS.map((value) => ({
  value,
  label: value ? t('rehearse.nSeconds', { n: value }) : t('rehearse.noShotClock'),
}))
const percent = computed({
  get: () => Math.round(100 * sharpness.value),
  set: (n: number) => (sharpness.value = n / 100),
})
</script>

<template>
  <div class="start">
    <h1>{{ t('rehearse.sparWithThePlan') }}</h1>
    <p>{{ t('rehearse.whatSparringIs') }}</p>
    <form class="panel" :aria-label="t('rehearse.setUp')" @submit.prevent="emit('begin')">
      <WhoRehearses v-model="who" :people="people" :unkept-because="unkeptBecause" />
      <WhoPartners :people="partners" />
      <label>
        <span class="label">{{ t('rehearse.howSharp', { percent }) }}</span>
        <el-slider
          v-model="percent"
          :step="10"
          :max="100 * MAX_SHARPNESS"
          :aria-label="t('rehearse.howSharp', { percent })"
        />
        <span class="small muted">{{ t('rehearse.sharpnessGrows') }}</span>
      </label>
      <div>
        <span class="label">{{ t('rehearse.toChoose') }}</span>
        <el-segmented v-model="clock" :options="clocks" :aria-label="t('rehearse.toChoose')" />
      </div>
      <p v-if="seed">{{ t('rehearse.sameAgain', { seed }) }}</p>
      <p v-if="isEmpty" class="muted">{{ t('rehearse.noQuestions') }}</p>
      <el-button v-else type="primary" class="big" native-type="submit">{{ t('rehearse.begin') }}</el-button>
    </form>
  </div>
</template>

<style scoped src="./start.css"></style>
