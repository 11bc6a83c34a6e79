<script setup lang="ts">
import { Plus } from '@element-plus/icons-vue'
import dayjs from 'dayjs'
import RowButton from '../../../components/RowButton.vue'
import { addSession } from '../../../core/club/edits/sessions'
import { headCount } from '../../../core/club/classPlan'
import type { Session } from '../../../core/club/session'
import { useClubs } from '../../../stores/clubs'
import SessionTabs from './SessionTabs.vue'
import { dayText } from '../../parts/club/days'
import { t } from '../../../words/train'

/** The classes of the club, the newest first. */
defineProps<{ sessions: readonly Session[]; here?: string | undefined }>()
const emit = defineEmits<{ show: [id: string] }>()
const clubs = useClubs()

function add() {
  let id = ''
  clubs.edit(t('train.newClass'), (draft) => void (id = addSession(draft, dayjs().format('YYYY-MM-DD'))))
  emit('show', id)
}
</script>

<template>
  <section class="list" :aria-label="t('train.classes')">
    <SessionTabs at="classes" />
    <el-button type="primary" :icon="Plus" @click="add">{{ t('train.newClass') }}</el-button>
    <ul>
      <li v-for="one in sessions" :key="one.id">
        <RowButton
          class="row"
          :class="{ here: one.id === here }"
          :aria-current="one.id === here ? 'true' : undefined"
          @click="emit('show', one.id)"
        >
          <b>{{ dayText(one.when) }}</b>
          <span v-if="clubs.club?.live?.session === one.id" class="on">{{ t('train.onNow') }}</span>
          <span class="theme">{{ one.theme || t('train.noTheme') }}</span>
          <span class="muted small">{{
            t('train.peopleAndMinutes', { people: headCount(one), minutes: one.minutes })
          }}</span>
        </RowButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.list {
  display: grid;
  gap: var(--space-12);
  align-content: start;
  padding: var(--space-16) var(--space-12);
}

.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 var(--space-8);
  width: 100%;
  min-height: var(--control);
  padding: var(--space-8);
  border-radius: var(--corner);
}

.row:hover {
  background: var(--band);
}

.here {
  background: var(--ours-soft);
}

.theme,
.muted {
  grid-column: 1 / -1;
}

.on {
  color: var(--ours);
  font: var(--weight-strong) var(--type-body) / 1.3 var(--label);
}
</style>
