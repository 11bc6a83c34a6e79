<script setup lang="ts">
import type { Held } from '../../../core/learn/cameTrue'
import { hundred } from '../../../core/say/figureText'
import { t } from '../../../words/learn'

/** What was foretold of a hundred, beside what came. `of`: of how many, where it is the same for all rows. */
defineProps<{ rows: readonly Held[]; of?: number; hasCounts?: boolean }>()
</script>

<template>
  <table>
    <thead>
      <tr>
        <td v-if="of === undefined"></td>
        <th v-else scope="col" class="first">{{ t('learn.ofNRounds', of) }}</th>
        <th v-if="hasCounts" scope="col">{{ t('learn.n') }}</th>
        <th scope="col">{{ t('learn.foretold') }}</th>
        <th scope="col">{{ t('learn.came') }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.name">
        <th scope="row">{{ row.name }}</th>
        <td v-if="hasCounts">{{ row.of }}</td>
        <td>{{ hundred(row.foretold) }}</td>
        <td>{{ hundred(row.happened) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped src="../../../components/figureTable.css"></style>
<style scoped>
.first {
  text-align: left;
}
</style>
