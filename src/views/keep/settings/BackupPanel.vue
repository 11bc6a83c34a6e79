<script setup lang="ts">
import { computed, onMounted } from 'vue'
import FileButton from '../../../components/FileButton.vue'
import { useBackups } from '../../../stores/backups'
import { useCharts } from '../../../stores/charts'
import { backUp, canPickFolder, pickFolder } from '../../parts/files/backingUp'
import { importFile } from '../../parts/files/importing'
import { t } from '../../../words/settings'

/** Everything that is kept in this browser as one file, where it goes, and the way back. */
const backups = useBackups()
const charts = useCharts()
onMounted(() => backups.look())
const since = computed(() => {
  const { changes, days, last } = backups
  if (!last.isMade) return t('settings.neverBackedUp')
  return changes
    ? t('settings.changesSince', { days: t('settings.daysAgo', days) }, changes)
    : t('settings.allIsInTheBackup')
})

async function save() {
  const where = await backUp()
  charts.tell(
    where === 'folder' ? t('settings.backedUpInto', { folder: backups.folder?.name }) : t('settings.backedUp'),
  )
}
async function choose() {
  const folder = await pickFolder()
  if (folder) await backups.choose(folder)
}
</script>

<template>
  <section class="panel" :aria-label="t('settings.backup')">
    <h2>{{ t('settings.backup') }}</h2>
    <p>{{ t('settings.whatABackupIs') }}</p>
    <p data-test="since">{{ since }}</p>
    <p v-if="backups.folder" class="small">{{ t('settings.goesInto', { folder: backups.folder.name }) }}</p>
    <p class="row">
      <el-button type="primary" @click="save">{{ t('settings.saveABackup') }}</el-button>
      <FileButton :label="t('settings.backupFile')" @file="importFile">{{ t('settings.restore') }}</FileButton>
      <el-button v-if="backups.folder" text @click="backups.choose(null)">{{ t('settings.noFolder') }}</el-button>
      <el-button v-else-if="canPickFolder()" text @click="choose">{{ t('settings.chooseAFolder') }}</el-button>
    </p>
    <p class="small muted">{{ t('settings.whenReminded') }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-12);
  padding: var(--space-16);
  margin-bottom: var(--space-16);
  break-inside: avoid;
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
}
</style>
