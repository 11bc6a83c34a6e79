<script setup lang="ts">
import { computed, ref } from 'vue'
import { removePerson } from '../../../core/club/edits/people'
import type { ClubPerson } from '../../../core/club/person'
import { givenAway } from '../../../stores/givenAway'
import { forgetChosen } from '../../../stores/against'
import { useCharts } from '../../../stores/charts'
import { useClubs } from '../../../stores/clubs'
import { dayText } from '../../parts/club/days'
import { t } from '../../../words/learn'

/** Deletes somebody for good: out of the club, and out of the steps that could bring them back. */
const props = defineProps<{ person: ClubPerson }>()
const emit = defineEmits<{ deleted: [] }>()
const clubs = useClubs()
const charts = useCharts()
const isDeleting = ref(false)
/** Files that were given away and may have them; nobody here can take them back. */
const files = computed(() => givenAway(clubs.club?.id ?? '').map(({ name, day }) => `${name} (${dayText(day)})`))

async function remove() {
  const { id, name } = props.person
  isDeleting.value = true
  emit('deleted')
  forgetChosen(id)
  const isDone = await clubs.editForGood(t('learn.deletedSomebody'), (draft) => removePerson(draft, id))
  charts.tell(isDone ? t('learn.nameIsDeleted', { name }) : t('learn.nameIsNotDeletedYet', { name }), 'info')
}
</script>

<template>
  <el-popconfirm
    :title="
      [t('learn.deletingIsForGood'), files.length ? t('learn.filesGivenAway', { files: files.join(', ') }) : '']
        .filter(Boolean)
        .join(' ')
    "
    :confirm-button-text="t('learn.deleteForGood')"
    :cancel-button-text="t('learn.keepThem')"
    width="300"
    @confirm="remove"
  >
    <template #reference>
      <el-button class="delete off-paper" :disabled="isDeleting">{{ t('learn.deleteForGood') }}</el-button>
    </template>
  </el-popconfirm>
</template>

<style scoped>
.delete {
  justify-self: start;
}
</style>
