<script setup lang="ts">
import { keepForNextTime, takeOffer } from '../../../core/club/edits/live'
import type { Offer } from '../../../core/club/live/behind'
import { lookUp } from '../../../core/chart/lookUp'
import { blockTitle } from '../../parts/club/blocks'
import { useLiveClass } from './live'
import { t } from '../../../words/train'

/** What wins time back, to be taken by a press. Cool-down and review are kept. */
defineProps<{ offers: readonly Offer[] }>()
const emit = defineEmits<{ done: [] }>()
const { session, edit } = useLiveClass()

function titleOf(id: string) {
  const block = lookUp(session.value?.blocks ?? [], id)
  return block ? blockTitle(block) : ''
}
function take(offer: Offer) {
  edit(t('train.inTimeAgain'), (draft) => takeOffer(draft, offer))
  emit('done')
}
function keep(block: string) {
  edit(t('train.nextTime'), (draft) => keepForNextTime(draft, block))
  emit('done')
}
</script>

<template>
  <section class="offers" :aria-label="t('train.inTimeAgain')">
    <h2>{{ t('train.inTimeAgain') }}</h2>
    <ul>
      <li v-for="(offer, i) in offers" :key="i">
        <template v-if="offer.does === 'leave-out'">
          <span
            >{{ titleOf(offer.block) }} <b>{{ t('train.wins', { n: offer.minutes }) }}</b></span
          >
          <span class="ways">
            <el-button class="press" @click="take(offer)">{{ t('train.leaveOut') }}</el-button>
            <el-button class="press" @click="keep(offer.block)">{{ t('train.nextTime') }}</el-button>
          </span>
        </template>
        <template v-else>
          <span
            >{{ t('train.shorterRounds') }} <b>{{ t('train.wins', { n: offer.minutes }) }}</b></span
          >
          <el-button class="press" @click="take(offer)">{{ t('train.takeIt') }}</el-button>
        </template>
      </li>
    </ul>
    <p v-if="!offers.length" class="muted">{{ t('train.nothingLeftToShorten') }}</p>
    <p class="muted small">{{ t('train.coolDownStays') }}</p>
  </section>
</template>

<style scoped>
.offers {
  display: grid;
  gap: var(--space-12);
  align-self: stretch;
  text-align: left;
}

li {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8);
  align-items: center;
  justify-content: space-between;
  padding: var(--space-8) 0;
  border-top: 1px solid var(--line);
  font-size: var(--type-lead);
}
</style>
