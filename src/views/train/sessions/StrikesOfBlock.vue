<script setup lang="ts">
import InlineText from '../../../components/InlineText.vue'
import PickList from '../../../components/PickList.vue'
import { CONTACTS, type Block } from '../../../core/club/session'
import { contactText } from '../../parts/club/blocks'
import { t } from '../../../words/train'

/** What is worn in a block with strikes, and how hard they are. */
defineProps<{ block: Block }>()
const emit = defineEmits<{
  set: [...field: ['gear', string | undefined] | ['contact', (typeof CONTACTS)[number] | undefined]]
}>()
const contacts = CONTACTS.map((value) => ({ value, label: contactText(value) }))
</script>

<template>
  <section :aria-label="t('train.strikes')">
    <h3>{{ t('train.strikes') }}</h3>
    <p>
      <span class="label">{{ t('train.gear') }}</span>
      <InlineText
        :value="block.gear ?? ''"
        :label="t('train.gear')"
        :placeholder="t('train.whatIsWorn')"
        @change="(gear) => emit('set', 'gear', gear || undefined)"
      />
    </p>
    <label>
      <span class="label">{{ t('train.contact') }}</span>
      <PickList
        :value="block.contact"
        :options="contacts"
        :placeholder="t('train.howHard')"
        @change="(contact) => emit('set', 'contact', contact)"
      />
    </label>
    <p class="small muted">{{ t('train.neverToTheHead') }}</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: var(--space-8);
}

.label {
  display: block;
}
</style>
