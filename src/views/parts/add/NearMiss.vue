<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { onMounted, ref } from 'vue'
import type { NearMiss } from '../../../core/notation/near'
import { t } from '../../../words/add'

/** Asks whether a name that is nearly a charted one means that one. */
defineProps<{ miss: NearMiss }>()
const emit = defineEmits<{ meant: []; fresh: [] }>()
const yes = ref<{ ref?: HTMLButtonElement }>()
onMounted(() => yes.value?.ref?.focus())
</script>

<template>
  <p class="miss" role="alert" @keydown.stop>
    <I18nT keypath="add.didYouMean" scope="global"
      ><template #name
        ><b>{{ miss.meant }}</b></template
      ></I18nT
    >
    <el-button ref="yes" @click="emit('meant')">
      {{ t('add.yesMeant', { meant: miss.meant }) }}
    </el-button>
    <el-button text @click="emit('fresh')">
      {{ t('add.noSaidIsNew', { said: miss.said }) }}
    </el-button>
  </p>
</template>

<style scoped>
.miss {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-8) var(--space-12);
}
</style>
