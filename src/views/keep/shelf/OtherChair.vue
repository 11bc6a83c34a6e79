<script setup lang="ts">
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { otherChair } from '../../../core/shelf/otherChair'
import type { Found } from '../../../core/shelf/search'
import type { Shelf } from '../../../core/shelf/shelf'
import { t } from '../../../words/shelf'

/** The same position from the other chair: of ours a link, of theirs the defence sheet. */
const props = defineProps<{ shelf: Shelf; position: string }>()
const emit = defineEmits<{ open: [found: Found] }>()
const own = computed(() => lookUp(props.shelf.positions, props.position))
const partner = computed(() => lookUp(props.shelf.positions, own.value?.mirror))
const sheet = computed(() => (own.value?.ahead === 'theirs' ? otherChair(props.shelf, props.position) : []))
</script>

<template>
  <section v-if="partner" :aria-label="t('shelf.fromTheOtherChair')">
    <h3>{{ t('shelf.fromTheOtherChair') }}</h3>
    <p>
      <el-button link @click="emit('open', { kind: 'position', id: partner.id })">
        {{ partner.name }}
      </el-button>
    </p>
    <div v-for="{ attack, ways } in sheet" :key="attack.id" class="attack">
      <b>{{ t('common.theyAttack', { attack: attack.name }) }}</b>
      <p v-for="{ reaction, breaks, ours, answers } in ways" :key="reaction.id" class="small">
        {{ t('shelf.wayOut') }}
        <el-button v-if="ours" link @click="emit('open', { kind: 'move', id: ours.id })">
          {{ ours.name }}
        </el-button>
        <template v-else>{{ reaction.name }}</template>
        <span v-if="breaks.length" class="muted">{{ t('shelf.itBreaksBreaks', { breaks: breaks.join('; ') }) }}</span>
        <span v-if="answers.length" class="muted">{{
          t('shelf.theyAnswerAnswers', { answers: answers.join(', ') })
        }}</span>
      </p>
    </div>
  </section>
</template>

<style scoped>
.link {
  text-decoration: underline;
  text-underline-offset: 2px;
}

.attack {
  padding: var(--space-4) 0;
  border-top: 1px solid var(--line);
}
</style>
