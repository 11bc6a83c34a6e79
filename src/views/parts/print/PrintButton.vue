<script setup lang="ts">
import { Printer } from '@element-plus/icons-vue'
import { t } from '../../../words'

/** Prints the screen, as the browser's own command does. */
const { says = t('common.print') } = defineProps<{ says?: string }>()
const print = () => window.print()
</script>

<template>
  <el-button text :icon="Printer" @click="print">{{ says }}</el-button>
</template>
