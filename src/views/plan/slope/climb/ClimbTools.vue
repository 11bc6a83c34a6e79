<script setup lang="ts">
import PickList from '../../../../components/PickList.vue'
import type { Option } from '../../../../components/options'
import type { Chair } from '../../../../core/questions/climbs'
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
      <el-dropdown trigger="click" @command="choose">
        <el-button :aria-label="t('slope.saveOrPrintThePicture')">{{ t('slope.savePrint') }}</el-button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item v-for="one in MENU" :key="one.command" :command="one.command">{{
              one.says
            }}</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
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
