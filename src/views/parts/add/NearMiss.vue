<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { onMounted, ref } from 'vue'
import type { NearMiss } from '../../../core/notation/near'
import { t } from '../../../words'

/** Asks whether a name that is nearly a charted one means that one. */
defineProps<{ miss: NearMiss }>()
const emit = defineEmits<{ meant: []; fresh: [] }>()
const yes = ref<HTMLButtonElement>()
onMounted(() => yes.value?.focus())
</script>

<template>
  <p class="miss" role="alert" @keydown.stop>
    <I18nT keypath="add.didYouMean" scope="global"
      ><template #name
        ><b>{{ miss.meant }}</b></template
      ></I18nT
    >
    <button ref="yes" type="button" class="button" @click="emit('meant')">
      {{ t('add.yesMeant', { meant: miss.meant }) }}
    </button>
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
