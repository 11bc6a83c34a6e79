<script setup lang="ts" generic="Way extends string">
import { t } from '../../../words/slope'

/** Ways to save or print a picture, in a menu. */
defineProps<{ ways: readonly { command: Way; says: string }[] }>()
const emit = defineEmits<{ choose: [way: Way] }>()
</script>

<template>
  <el-dropdown trigger="click" @command="(way: Way) => emit('choose', way)">
    <el-button :aria-label="t('slope.saveOrPrintThePicture')">{{ t('slope.savePrint') }}</el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-for="{ command, says } in ways" :key="command" :command="command">{{
          says
        }}</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
</template>
