<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import { stopAll } from '../../../core/club/edits/live'
import { useSavedText } from '../../frame/deeds'
import { isTyping } from '../../parts/club/typing'
import HurtPanel from './HurtPanel.vue'
import { useLiveClass } from './live'
import { useGoing } from './going'
import { t } from '../../../words/train'

/**
 * Around every screen of the mats: what flashes over all of it, Stop in the same corner, and the keys of a presenter’s
 * remote: page down goes on, page up or space starts and halts, a full stop or B stops all.
 */
const { live, edit, signals } = useLiveClass()
const { goOn, toggle } = useGoing()
const saved = useSavedText()
const asksWho = ref(false)
const FLASHES = {
  work: t('train.go'),
  rest: t('train.stop'),
  warning: t('train.tenSeconds'),
  done: t('train.done'),
} as const

function stop() {
  if (!live.value) return
  signals.hush()
  edit(t('train.stopAll'), (draft) => stopAll(draft, Date.now()))
  asksWho.value = true
}

const KEYS: Partial<Record<string, () => void>> = {
  ' ': toggle,
  PageUp: toggle,
  PageDown: goOn,
  '.': stop,
  b: stop,
}
useEventListener(document, 'keydown', (event) => {
  const does = KEYS[event.key]
  const isButton = event.key === ' ' && event.target instanceof HTMLElement && event.target.closest('button, a')
  if (!does || !live.value || isTyping(event.target) || isButton || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  if (!event.repeat) does()
})
</script>

<template>
  <div class="whole" :class="{ stopped: live?.isStopped }">
    <HurtPanel v-if="asksWho && live" @close="asksWho = false" />
    <slot v-else />
    <footer v-if="live" class="foot">
      <el-button class="stop" @click="stop">{{ t('train.stopAll') }}</el-button>
      <div id="mat-controls" class="controls" />
    </footer>
    <p class="readers-only" role="status" data-test="saved">{{ saved }}</p>
    <div v-if="signals.flash.value" class="flash" :class="signals.flash.value" role="alert">
      {{ FLASHES[signals.flash.value] }}
    </div>
  </div>
</template>

<style scoped>
.whole {
  display: grid;
  grid-template-rows: minmax(0, 1fr) auto;
  height: 100%;
}

.whole > :first-child {
  min-height: 0;
  overflow-y: auto;
}

.foot {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: var(--space-8);
  padding: var(--space-8);
  border-top: 1px solid var(--line);
  background: var(--panel);
}

.stop {
  min-width: 96px;
  min-height: 64px;
  border-color: var(--leak);
  background: var(--leak);
  color: var(--panel);
  font: var(--weight-strong) var(--type-head) / 1.1 var(--label);
}

.stopped .stop {
  background: var(--panel);
  color: var(--leak);
}

.flash {
  position: fixed;
  z-index: 4000;
  inset: 0;
  display: grid;
  place-items: center;
  background: var(--ours);
  color: var(--ours-ink);
  font: var(--weight-strong) var(--type-clock-low) / 1 var(--label);
  pointer-events: none;
}

.rest,
.done {
  background: var(--leak);
  color: var(--panel);
}

.warning {
  background: var(--ring-soft);
  color: var(--ink);
}
</style>
