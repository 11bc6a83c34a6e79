<script setup lang="ts">
import { computed } from 'vue'
import { fileName } from '../../../core/files/fileKinds'
import { ANSWERS_FILE } from '../../../core/rehearse/packFiles'
import type { Pack } from '../../../core/rehearse/packKind'
import { useHomework } from '../../../stores/homework'
import { dayText } from '../../parts/club/days'
import { handOver } from '../../parts/files/download'
import { t } from '../../../words/rehearse'

/** Homework, for who has it: what it is, what the coach says to it, and the way of the answers back. */
const props = defineProps<{ pack: Pack }>()
const homework = useHomework()
const done = computed(() => props.pack.rehearsed.length)
const send = () => handOver(homework.answersText(), fileName(ANSWERS_FILE, props.pack.id))
</script>

<template>
  <section class="panel" :aria-label="t('rehearse.homework')">
    <h2>{{ t('rehearse.homeworkOf', { title: pack.title, day: dayText(pack.given) }) }}</h2>
    <p v-if="pack.says">{{ pack.says }}</p>
    <p class="small muted">{{ t('rehearse.onlyWhatYouAnswer') }}</p>
    <el-button v-if="done" class="press" @click="send">{{ t('rehearse.sendBack', done) }}</el-button>
  </section>
</template>

<style scoped src="./start.css"></style>
