<script setup lang="ts">
import { computed } from 'vue'
import PickList from '../../../components/PickList.vue'
import type { ClubPerson } from '../../../core/club/person'
import { t } from '../../../words/rehearse'

/** Who it is: what they may not do is left out, and what they know is theirs. */
const props = defineProps<{ people: readonly ClubPerson[]; unkeptBecause: string }>()
const who = defineModel<string>({ required: true })
const names = computed(() => [
  { value: '', label: t('rehearse.nobody') },
  ...props.people.map(({ id, name }) => ({ value: id, label: name })),
])
/** Whom the club no longer has is nobody. */
const chosen = computed(() => (props.people.some(({ id }) => id === who.value) ? who.value : ''))
</script>

<template>
  <label v-if="people.length">
    <span class="label">{{ t('rehearse.who') }}</span>
    <PickList :value="chosen" :options="names" @change="(id: string) => (who = id)" />
  </label>
  <p v-if="unkeptBecause" class="small muted">{{ unkeptBecause }}</p>
</template>
