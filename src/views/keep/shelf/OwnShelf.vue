<script setup lang="ts">
import { computed } from 'vue'
import { fileName } from '../../../core/files/fileKinds'
import { SHELF_KIND } from '../../../core/shelf/shelfKind'
import type { ShelfRegion } from '../../../core/shelf/shelf'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import { downloadJson } from '../../parts/files/download'
import { t } from '../../../words/shelf'

/** What can be done with a shelf of the coach's own. */
const props = defineProps<{ region: ShelfRegion }>()
const emit = defineEmits<{ gone: [] }>()
const store = useShelf()
const charts = useCharts()

const about = computed(() => {
  const { author, licence, edition } = props.region
  return [
    author === undefined ? '' : t('shelf.madeBy', { author }),
    edition === undefined ? '' : t('shelf.editionN', { edition }),
    licence ?? '',
  ]
    .filter(Boolean)
    .join(' · ')
})

async function remove() {
  const { id, title } = props.region
  await store.remove(id)
  charts.tell(t('shelf.titleIsInTheBinBelow', { title }))
  emit('gone')
}
</script>

<template>
  <p class="own">
    {{ t('shelf.aShelfOfYourOwn') }}
    <span v-if="about" data-test="about-shelf">{{ about }}</span>
    <el-button text @click="downloadJson(store.exportText(region.id), fileName(SHELF_KIND, region.id))">
      {{ t('common.export') }}
    </el-button>
    <el-button text @click="remove">{{ t('common.remove') }}</el-button>
  </p>
</template>
