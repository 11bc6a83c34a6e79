<script setup lang="ts">
import { computed, onMounted } from 'vue'
import { useBackups } from '../../stores/backups'
import { useCharts } from '../../stores/charts'
import { backUp } from '../parts/files/backingUp'
import { t } from '../../words/files'

/** Reminds of a backup that is due; where a folder was chosen that may be written to, it is made without asking. */
const backups = useBackups()
const charts = useCharts()

onMounted(async () => {
  await backups.look()
  if (backups.isDue && (await backups.intoFolder(false)))
    charts.tell(t('files.backedUpInto', { folder: backups.folder?.name ?? '' }))
})
const says = computed(() => {
  const { days, changes, last } = backups
  return last.isMade
    ? t('files.backupIsDue', { days: t('files.nDays', days) }, changes)
    : t('files.firstBackupIsDue', changes)
})
async function save() {
  await backUp()
  charts.tell(t('files.backedUp'))
}
</script>

<template>
  <div v-if="backups.isDue" class="news" role="status">
    <span>{{ says }}</span>
    <el-button type="primary" @click="save">{{ t('files.saveABackup') }}</el-button>
    <el-button text @click="backups.putOff()">{{ t('files.later') }}</el-button>
  </div>
</template>
