<script setup lang="ts">
import { watch } from 'vue'
import { tipped } from './tips'

/** The one tooltip of the application: it stands at whatever is pointed at, or has the focus, and has a tip. */
const ID = 'tip'

watch(tipped, (now, before) => {
  if (before?.getAttribute('aria-describedby') === ID) before.removeAttribute('aria-describedby')
  if (now && !now.hasAttribute('aria-describedby')) now.setAttribute('aria-describedby', ID)
})
</script>

<template>
  <span v-if="tipped" :id="ID" class="readers-only">{{ tipped.dataset.tip }}</span>
  <el-tooltip
    v-if="tipped"
    virtual-triggering
    :virtual-ref="tipped"
    :visible="true"
    :content="tipped.dataset.tip ?? ''"
    popper-class="tip"
    placement="top"
  />
</template>
