<script setup lang="ts">
import ClubScreen from '../../parts/club/ClubScreen.vue'
import GivenHomework from './GivenHomework.vue'
import SetHomework from './SetHomework.vue'
import { t } from '../../../words/rehearse'

/** What athletes take home: made here as a file each, and what has come back of it. */
</script>

<template>
  <ClubScreen>
    <div class="start">
      <h1>{{ t('rehearse.setHomework') }}</h1>
      <p>{{ t('rehearse.whatHomeworkIs') }}</p>
      <SetHomework />
      <GivenHomework />
    </div>
  </ClubScreen>
</template>

<style scoped src="./start.css"></style>
