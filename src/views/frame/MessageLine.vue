<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import { ref, watch } from 'vue'
import IconButton from '../../components/IconButton.vue'
import { useActing } from '../../stores/acting'
import { useCharts } from '../../stores/charts'
import { t } from '../../words'

/**
 * The one place of messages: a line under the screen, which gives it room, so that it covers nothing that is being
 * filled in. It says what has happened, once, with the way back where there is one.
 */
const charts = useCharts()
const acting = useActing()
const shown = ref(charts.news)
let timer: ReturnType<typeof setTimeout> | undefined
/** So long it stays, in milliseconds; longer where something can be done about it. */
const STAYS = 7000
const STAYS_WITH_UNDO = 12_000

function undo() {
  acting.undo()
  shown.value = null
}

watch(
  () => charts.news,
  (news) => {
    shown.value = news
    clearTimeout(timer)
    timer = setTimeout(() => (shown.value = null), news?.action ? STAYS_WITH_UNDO : STAYS)
  },
)
</script>

<template>
  <div class="message off-paper" aria-live="polite" data-test="message">
    <p v-if="shown" class="news" :class="shown.kind">
      <span>{{ shown.text }}</span>
      <el-button v-if="acting.steps.undo && shown.action === 'undo'" @click="undo()">
        {{ t('frame.undo') }}
      </el-button>
      <IconButton :icon="Close" :name="t('frame.close')" @click="shown = null" />
    </p>
  </div>
</template>

<style scoped>
/* Over what is opened from the side: the way back can be pressed there too. */
.message {
  position: relative;
  z-index: 3000;
}

.news {
  border-top: 1px solid var(--strong-line);
}

.news > span {
  flex: 1;
}
</style>
