<script setup lang="ts">
import { computed, ref } from 'vue'
import { isOutForToday, noteHurt } from '../../../core/club/edits/live'
import { BODY_PARTS, DOING, type Hurt } from '../../../core/club/live/liveRecords'
import { useLiveClass } from './live'
import { t, type TrainKey } from '../../../words/train'

/** After a stop: who is hurt, which part, doing what, in three presses; or nobody is. */
const emit = defineEmits<{ close: [] }>()
const { session, live, people, edit, nameOf } = useLiveClass()
const who = ref('')
const part = ref<Hurt['part'] | null>(null)
const said = ref('')
const PARTS: Record<Hurt['part'], TrainKey> = {
  head: 'train.head',
  neck: 'train.neck',
  shoulder: 'train.shoulder',
  elbow: 'train.elbow',
  hand: 'train.hand',
  back: 'train.backPart',
  ribs: 'train.ribs',
  knee: 'train.knee',
  ankle: 'train.ankle',
}
const DOES: Record<Hurt['doing'], TrainKey> = {
  locked: 'train.locked',
  strangled: 'train.chokedOut',
  thrown: 'train.thrown',
  fell: 'train.fell',
  bumped: 'train.bumped',
  else: 'train.else',
}
const here = computed(() => people.value.filter(({ id }) => !live.value?.out.includes(id)))

function note(doing: Hurt['doing']) {
  const { value: person } = who
  if (!part.value) return
  const hurt: Hurt = { person, part: part.value, doing }
  const name = nameOf(person)
  edit(t('train.nameIsHurt', { name }), (draft) => noteHurt(draft, hurt, session.value?.when ?? '', Date.now()))
  said.value = isOutForToday(hurt) ? t('train.outForToday', { name }) : t('train.leavesThePairs', { name })
}
</script>

<template>
  <section class="hurt" :aria-label="t('train.isSomebodyHurt')">
    <template v-if="said">
      <h1>{{ said }}</h1>
      <el-button class="press" @click="emit('close')">{{ t('train.backToTheClass') }}</el-button>
    </template>
    <template v-else>
      <h1>{{ !who ? t('train.isSomebodyHurt') : !part ? t('train.whichPart') : t('train.doingWhat') }}</h1>
      <el-button v-if="!who" class="press nobody" @click="emit('close')">{{ t('train.nobodyIsHurt') }}</el-button>
      <div class="grid">
        <template v-if="!who">
          <el-button v-for="one in here" :key="one.id" class="press" @click="who = one.id">{{ one.name }}</el-button>
        </template>
        <template v-else-if="!part">
          <el-button v-for="one in BODY_PARTS" :key="one" class="press" @click="part = one">{{
            t(PARTS[one])
          }}</el-button>
        </template>
        <template v-else>
          <el-button v-for="one in DOING" :key="one" class="press" @click="note(one)">{{ t(DOES[one]) }}</el-button>
        </template>
      </div>
      <p class="muted small">{{ t('train.getHelpFirst') }}</p>
    </template>
  </section>
</template>

<style scoped>
.hurt {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  padding: var(--space-16) var(--space-12);
}

.grid {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
  gap: var(--space-8);
}

.nobody {
  border-color: var(--ours);
}
</style>
