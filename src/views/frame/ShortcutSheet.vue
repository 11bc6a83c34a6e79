<script setup lang="ts">
import { SHORTCUTS } from './shortcutList'
import { t } from '../../words'

const emit = defineEmits<{ close: [] }>()
</script>

<template>
  <el-dialog :model-value="true" :title="t('frame.keys')" width="620" @close="emit('close')">
    <table>
      <tbody>
        <tr v-for="{ keys, does, where } in SHORTCUTS" :key="keys + where">
          <td>
            <span class="kbd">{{ keys }}</span>
          </td>
          <td>{{ does }}</td>
          <td class="muted small">{{ where }}</td>
        </tr>
      </tbody>
    </table>
  </el-dialog>
</template>

<style scoped>
td {
  padding: var(--space-4) var(--space-12) var(--space-4) 0;
  vertical-align: top;
}
</style>
