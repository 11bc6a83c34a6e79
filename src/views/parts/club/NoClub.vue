<script setup lang="ts">
import { ref } from 'vue'
import { useRoute } from 'vue-router'
import FileButton from '../../../components/FileButton.vue'
import { useClubs } from '../../../stores/clubs'
import { importFile } from '../files/importing'
import { openDemoClub } from './demoClub'
import { t } from '../../../words/train'

/** What a club is, for a coach who has none yet, and the ways to one. */
const clubs = useClubs()
/** A whole screen has no rail to go elsewhere by. */
const route = useRoute()
const name = ref('')
const begin = () => clubs.create(name.value.trim() || t('train.ourClub'))
</script>

<template>
  <section class="none" :aria-label="t('train.noClubYet')">
    <RouterLink v-if="route.meta.isWhole" to="/desk">{{ t('common.back') }}</RouterLink>
    <h1>{{ t('train.noClubYet') }}</h1>
    <p>{{ t('train.whatAClubIs') }}</p>
    <form @submit.prevent="begin">
      <label>
        <span class="label">{{ t('train.nameOfTheClub') }}</span>
        <el-input v-model="name" maxlength="200" :placeholder="t('train.ourClub')" />
      </label>
      <el-button type="primary" native-type="submit">{{ t('train.begin') }}</el-button>
    </form>
    <p class="row">
      <el-button @click="openDemoClub()">{{ t('train.openTheDemoClub') }}</el-button>
      <FileButton :label="t('train.clubFile')" @file="importFile">{{ t('train.takeInAFile') }}</FileButton>
    </p>
    <p class="muted small">{{ t('train.ourDefaults') }}</p>
  </section>
</template>

<style scoped>
.none {
  display: grid;
  gap: var(--space-16);
  align-content: start;
  justify-items: start;
  max-width: 620px;
  padding: var(--space-24) var(--space-16);
}

form,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: end;
}
</style>
