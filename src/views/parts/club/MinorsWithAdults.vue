<script setup lang="ts">
import InlineText from '../../../components/InlineText.vue'
import { openRefused } from '../../../core/club/edits/sessions'
import { MINORS_WITH_ADULTS, minorsWithAdultsIn } from '../../../core/club/protect'
import type { Session } from '../../../core/club/session'
import { useClubs } from '../../../stores/clubs'
import { t } from '../../../words/train'

/** The coach's reason to have minors work with adults in a class; without one they do not. */
const props = defineProps<{ session: Session }>()
const clubs = useClubs()
const setWhy = (reason: string) =>
  clubs.edit(t('train.minorsWithAdults'), (draft) => openRefused(draft, props.session.id, MINORS_WITH_ADULTS, reason))
</script>

<template>
  <p class="small">
    {{ t('train.minorsWorkWithAdultsBecause') }}
    <InlineText
      :value="minorsWithAdultsIn(session)"
      :label="t('train.minorsWithAdults')"
      :placeholder="t('train.openWithAReason')"
      @change="setWhy"
    />
    {{ t('train.neverStranglesOrLegLocks') }}
  </p>
</template>
