<script setup lang="ts">
import PickList from '../../../../components/PickList.vue'
import type { Option } from '../../../../components/options'
import type { Chair } from '../../../../core/questions/climbs'
import SaveMenu from '../SaveMenu.vue'
import { t } from '../../../../words/slope'

/** From which chair the plan is looked at, what is laid over it, and ways to save or print it. */
defineProps<{ chair: Chair; over: string; options: readonly Option[]; isTold: boolean }>()
const emit = defineEmits<{ chair: [to: Chair]; over: [what: string]; save: [kind: 'svg' | 'png']; print: [] }>()
const CHAIRS = [
  { value: 'ours', label: t('slope.fromOurChair') },
  { value: 'theirs', label: t('slope.fromTheirs') },
] as const
const MENU = [
  { command: 'svg', says: t('slope.saveAsSvg') },
  { command: 'png', says: t('slope.saveAsPng') },
  { command: 'print', says: t('slope.printOnOnePage') },
] as const
function choose(command: (typeof MENU)[number]['command']) {
  if (command === 'print') emit('print')
  else emit('save', command)
}
</script>

<template>
  <div class="tools off-paper">
    <el-segmented
      :model-value="chair"
      :options="CHAIRS"
      :aria-label="t('slope.whoseChair')"
      @update:model-value="(to: Chair) => emit('chair', to)"
    />
    <template v-if="!isTold">
      <PickList
        class="over"
        :value="over"
        :options="options"
        :aria-label="t('slope.laidOverIt')"
        @change="(what: string) => emit('over', what)"
      />
      <SaveMenu :ways="MENU" @choose="choose" />
    </template>
  </div>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-12);
  align-items: center;
}

.over {
  width: 220px;
}
</style>
