<script setup lang="ts">
import { VideoPause, VideoPlay } from '@element-plus/icons-vue'
import { useIntervalFn } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import RowButton from '../../../components/RowButton.vue'
import { HEIGHT, WIDTH } from '../../../core/body/stage'
import BodyFigure from '../../parts/body/BodyFigure.vue'
import { useFrames } from './frames'
import { useScore } from './score'
import { t } from '../../../words/score'

/** The run as a film: a picture a step, played one by one, with the limb that moves marked. */
const { beat } = useScore()
const frames = useFrames()
const root = ref<HTMLElement>()
const STEP_MS = 1_400
const last = computed(() => frames.value.length - 1)
const { isActive, pause, resume } = useIntervalFn(
  () => {
    if (beat.value >= last.value) pause()
    else beat.value++
  },
  STEP_MS,
  { immediate: false },
)
function play() {
  if (isActive.value) return void pause()
  if (beat.value >= last.value) beat.value = 0
  resume()
}
watch(beat, async (at) => {
  await nextTick()
  root.value?.querySelectorAll('li')[at]?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
})
const said = (at: number) => (frames.value[at] ? t('score.stepNamed', { n: at, name: frames.value[at].name }) : '')
</script>

<template>
  <section v-if="frames.some(({ figure }) => figure)" class="panel film" :aria-label="t('score.filmStrip')">
    <div class="controls off-paper">
      <el-button :icon="isActive ? VideoPause : VideoPlay" @click="play">{{
        isActive ? t('score.pause') : t('score.play')
      }}</el-button>
      <el-slider
        v-model="beat"
        :min="0"
        :max="last"
        :show-tooltip="false"
        :aria-label="t('score.step')"
        :format-value-text="said"
        @input="pause"
      />
    </div>
    <ol ref="root">
      <li v-for="({ name, figure, moves }, i) in frames" :key="i">
        <RowButton class="frame" :class="{ chosen: i === beat }" :aria-pressed="i === beat" @click="beat = i">
          <svg v-if="figure" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
            <BodyFigure :figure="figure" />
          </svg>
          <b>{{ i === 0 ? name : `${i}. ${name}` }}</b>
          <span class="muted small">{{ moves }}</span>
        </RowButton>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.film {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: var(--space-8);
  padding: var(--space-12) var(--space-16);
}

.controls {
  display: flex;
  gap: var(--space-24);
  align-items: center;
}

.controls .el-slider {
  flex: 1;
  margin-right: var(--space-12);
}

ol {
  display: flex;
  gap: var(--space-8);
  overflow-x: auto;
}

li {
  flex: none;
  width: 168px;
}

.frame {
  display: grid;
  align-content: start;
  width: 100%;
  height: 100%;
  padding: var(--space-4) var(--space-8);
  border: 1px solid var(--line);
  border-radius: var(--corner-panel);
}

.frame.chosen {
  border-color: var(--ours);
  background: var(--ours-soft);
}

svg {
  width: 100%;
  aspect-ratio: 330 / 230;
}

@media print {
  ol {
    flex-wrap: wrap;
    overflow: visible;
  }

  li {
    width: 120px;
    break-inside: avoid;
  }
}
</style>
