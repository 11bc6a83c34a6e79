<script setup lang="ts">
import { computed, ref } from 'vue'
import { useHandedOver } from '../../parts/club/handedOver'
import { t } from '../../../words/train'

/** Hands the device over to who logs a mat, or takes it back by the code that was set then. */
const props = defineProps<{ mat: number }>()
const handed = useHandedOver()
const isLocked = computed(() => handed.value.mat > 0)
const isOpen = ref(false)
const typed = ref('')
const isWrong = ref(false)
/** Digits of a code. */
const LEAST = 3

function done() {
  const code = typed.value.trim()
  isWrong.value = isLocked.value ? code !== handed.value.code : code.length < LEAST
  if (isWrong.value) return
  handed.value = isLocked.value ? { mat: 0, code: '' } : { mat: props.mat, code }
  isOpen.value = false
  typed.value = ''
}
</script>

<template>
  <div class="hand">
    <el-button v-if="!isOpen" class="press" @click="isOpen = true">{{
      isLocked ? t('train.backToTheCoach') : t('train.handOver')
    }}</el-button>
    <form v-else @submit.prevent="done">
      <label>
        <span class="label">{{ isLocked ? t('train.codeOfTheCoach') : t('train.setACode') }}</span>
        <el-input v-model="typed" inputmode="numeric" autocomplete="off" maxlength="8" />
      </label>
      <el-button class="press" native-type="submit">{{ isLocked ? t('train.unlock') : t('train.lock') }}</el-button>
    </form>
    <p v-if="isWrong" class="wrong" role="alert">
      {{ isLocked ? t('train.notThatCode') : t('train.threeDigitsAtLeast') }}
    </p>
  </div>
</template>

<style scoped>
.hand {
  display: grid;
  gap: var(--space-8);
}

form {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--space-8);
  align-items: end;
}

.wrong {
  color: var(--leak);
}
</style>
