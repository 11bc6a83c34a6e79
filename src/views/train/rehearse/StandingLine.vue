<script setup lang="ts">
import dayjs from 'dayjs'
import { computed } from 'vue'
import type { Standing } from '../../../core/rehearse/schedule'
import { dayText } from '../../parts/club/days'
import { t } from '../../../words/rehearse'

/** How a deck stands: three counts, and when the next question is due where none is. */
const props = defineProps<{ standing: Standing }>()
const counts = computed(() => [
  { name: t('rehearse.due'), n: props.standing.due },
  { name: t('rehearse.fresh'), n: props.standing.fresh },
  { name: t('rehearse.known'), n: props.standing.known },
])
const next = computed(() => {
  const { due, fresh, next } = props.standing
  if (due || fresh || next === null) return ''
  const when = dayjs(next)
  return when.isSame(dayjs(), 'day') ? when.format('HH:mm') : dayText(when.format('YYYY-MM-DD'))
})
</script>

<template>
  <dl data-test="standing">
    <div v-for="{ name, n } in counts" :key="name">
      <dt class="label">{{ name }}</dt>
      <dd>{{ n }}</dd>
    </div>
  </dl>
  <p v-if="next">{{ t('rehearse.doneForNow') }} {{ t('rehearse.nextDue', { when: next }) }}</p>
</template>

<style scoped>
dl {
  display: flex;
  gap: var(--space-24);
  margin: 0;
}

dd {
  margin: 0;
  font: var(--weight-strong) var(--type-title) / 1.1 var(--label);
}
</style>
