<script setup lang="ts">
import { onClickOutside, onKeyStroke } from '@vueuse/core'
import { computed, ref } from 'vue'
import { finer } from '../../../core/say/figureText'
import { useFigures } from '../../../stores/figures'
import { useAsking } from './ask'
import { conditions } from '../../../core/say/explanation'
import { t } from '../../../words'

const { anchor, answer, close } = useAsking()
const figures = useFigures()
const box = ref<HTMLElement>()
const isOpen = computed(() => anchor.value !== null && answer.value !== null)
const sum = computed(() => (answer.value?.rows ?? []).reduce((total, { chance, value }) => total + chance * value, 0))

onClickOutside(box, () => isOpen.value && (anchor.value = null), { ignore: [anchor] })
onKeyStroke('Escape', () => isOpen.value && close())
</script>

<template>
  <el-popover
    :visible="isOpen"
    :virtual-ref="anchor ?? undefined"
    virtual-triggering
    :width="430"
    placement="bottom-end"
    :persistent="false"
  >
    <section
      v-if="answer"
      ref="box"
      class="made-of"
      role="dialog"
      :aria-label="t('figures.whatAnswerIsMadeOf', { answer: answer.title })"
    >
      <h2>{{ answer.title }}</h2>
      <p class="muted">{{ answer.plan }}</p>
      <p v-if="answer.guess" class="guess">{{ answer.guess }}</p>
      <table>
        <thead class="readers-only">
          <tr>
            <th>{{ t('figures.what') }}</th>
            <th>{{ t('figures.of100') }}</th>
            <th>{{ t('common.worth') }}</th>
            <th>{{ t('figures.adds') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in answer.rows" :key="i">
            <td>{{ row.text }}</td>
            <td>{{ answer.isDifference ? '' : `${finer(row.chance)} ×` }}</td>
            <td>{{ answer.isDifference ? '' : finer(row.value) }}</td>
            <td>{{ finer(row.chance * row.value) }}</td>
          </tr>
        </tbody>
        <tfoot>
          <tr>
            <td colspan="3">{{ t('figures.inAll') }}</td>
            <td>{{ finer(sum) }}</td>
          </tr>
        </tfoot>
      </table>
      <p v-if="answer.time" class="small">{{ answer.time }}</p>
      <p v-if="figures.scenario" class="muted small">{{ conditions(figures.scenario) }}</p>
    </section>
  </el-popover>
</template>

<style scoped>
.made-of {
  display: grid;
  gap: var(--space-8);
  color: var(--ink);
  font-size: var(--type-body);
  text-align: left;
  word-break: normal;
}

table {
  border-collapse: collapse;
  width: 100%;
}

td {
  padding: var(--space-4) 0 var(--space-4) var(--space-12);
  border-top: 1px solid var(--line);
  text-align: right;
  white-space: nowrap;
}

td:first-child {
  padding-left: 0;
  text-align: left;
  white-space: normal;
}

tfoot td {
  border-top: 2px solid var(--strong-line);
  font-weight: var(--weight-strong);
}
.guess {
  color: var(--caution);
}
</style>
