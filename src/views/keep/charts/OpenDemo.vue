<script setup lang="ts">
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { openDemo } from '../../parts/files/demo'

const router = useRouter()
onMounted(async () => {
  await openDemo()
  await router.replace('/desk')
})
</script>

<template>
  <h1 class="muted">Opening the demo plan …</h1>
</template>
