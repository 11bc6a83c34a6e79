<script setup lang="ts">
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { openDemo } from '../../parts/files/demo'
import { t } from '../../../words/charts'

const router = useRouter()
onMounted(async () => {
  await openDemo()
  await router.replace('/desk')
})
</script>

<template>
  <h1 class="muted">{{ t('charts.openingTheDemoPlan') }}</h1>
</template>
