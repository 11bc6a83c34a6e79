<script setup lang="ts">
import { computed } from 'vue'
import { named } from '../../../components/options'
import PickList from '../../../components/PickList.vue'
import type { ClubPerson } from '../../../core/club/person'
import { chooseFor, matchIn } from '../../../stores/against'
import { t } from '../../../words/rehearse'

/** Whom the partner plays like: the other one of the scenario, chosen here too. Nothing where there is nobody. */
const props = defineProps<{ people: readonly ClubPerson[] }>()
const names = computed(() => [{ value: '', label: t('rehearse.anybody') }, ...named(props.people)])
const them = computed(() => matchIn(props.people).them?.id ?? '')
</script>

<template>
  <label v-if="people.length">
    <span class="label">{{ t('rehearse.partner') }}</span>
    <PickList
      :value="them"
      :options="names"
      :aria-label="t('rehearse.partner')"
      @change="(id: string) => chooseFor('them', id)"
    />
    <span class="small muted">{{ t('rehearse.partnerIsLogged') }}</span>
  </label>
</template>
