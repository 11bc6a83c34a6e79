<script setup lang="ts">
import { computed } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import { openRefused } from '../../../core/club/edits/sessions'
import type { Block, Session } from '../../../core/club/session'
import { useClubs } from '../../../stores/clubs'
import { useClass } from './class'
import { refusedText } from '../../parts/club/refused'
import { t } from '../../../words/train'

/** What of a block is refused for somebody who comes. It is opened by a reason that is kept; some of it never. */
const props = defineProps<{ session: Session; block: Block }>()
const clubs = useClubs()
const { refusedIn } = useClass()
const refused = computed(() => refusedIn(props.block))

const open = (tag: string, reason: string) =>
  clubs.edit(reason ? t('train.openIt') : t('train.shutIt'), (draft) =>
    openRefused(draft, props.session.id, tag, reason),
  )
</script>

<template>
  <section v-if="refused.length || session.opened?.length" class="refused" :aria-label="t('train.notForAll')">
    <h3>{{ t('train.notForAll') }}</h3>
    <ul>
      <li v-for="one in refused" :key="one.tag + one.because">
        {{ refusedText(one) }}
        <span v-if="one.isAlways" class="small">{{ t('train.never') }}</span>
        <InlineText
          v-else
          value=""
          :label="t('train.whyItIsOpened')"
          :placeholder="t('train.openWithAReason')"
          @change="(reason) => open(one.tag, reason)"
        />
      </li>
      <li v-for="one in session.opened ?? []" :key="one.tag">
        {{ t('train.openedBecause', { what: one.tag }) }}
        <InlineText
          :value="one.reason"
          :label="t('train.whyItIsOpened')"
          :placeholder="t('common.none')"
          @change="(reason) => open(one.tag, reason)"
        />
      </li>
    </ul>
    <p class="small muted">{{ t('train.yourFederationFirst') }}</p>
  </section>
</template>

<style scoped>
.refused {
  padding: var(--space-8) var(--space-12);
  border-left: 4px solid var(--caution);
  background: var(--caution-soft);
}
</style>
