<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { lookUp } from '../../../core/chart/lookUp'
import { useHolds } from './holds'
import LeftBar from './LeftBar.vue'
import { t } from '../../../words/holds'

/** Their escapes from here, those that are most open and most tried first, and which hold stands in the way. */
const { chart, position, check } = useHolds()
const rows = computed(() =>
  [...check.value.escapes]
    .sort((a, b) => Number(b.isHindrable) - Number(a.isHindrable) || b.left * b.share - a.left * a.share)
    .map((escape) => ({
      ...escape,
      to: escape.moves.map((id) => lookUp(chart.value.moves, id)?.name).join(', '),
      holds: escape.by.map((id) => lookUp(chart.value.holds, id)?.name).join(', '),
      go: {
        path: `/worksheet/${present(position.value).id}`,
        query: { ...(escape.moves[0] ? { move: escape.moves[0] } : {}), reaction: escape.reaction },
      },
    })),
)
</script>

<template>
  <section class="panel" :aria-label="t('holds.theirEscapesFromHere')">
    <h2>{{ t('holds.theirEscapes') }}</h2>
    <div class="scrolls" tabindex="0" role="group" :aria-label="t('holds.theirEscapes')">
      <table>
        <thead>
          <tr>
            <th>{{ t('common.they2') }}</th>
            <th>{{ t('holds.when') }}</th>
            <th>{{ t('holds.whatIsLeftOfIt') }}</th>
            <th>{{ t('holds.becauseOf') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.reaction">
            <td>
              <RouterLink :to="row.go"
                ><b>{{ row.name }}</b></RouterLink
              >
            </td>
            <td class="small muted">
              <template v-if="row.to">{{ row.to }}</template><template v-if="row.to && row.isUnprompted"
                >{{ t('holds.or') }}&nbsp;</template
              ><template v-if="row.isUnprompted">{{ t('holds.weHoldStill') }}</template>
            </td>
            <td><LeftBar :left="row.left" /></td>
            <td class="small muted">
              {{ row.holds || (row.isHindrable ? t('holds.nothingYet') : t('holds.nobodyHasSaidWhatTheyNeed')) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped src="./holdsPanel.css"></style>

<style scoped>
.scrolls {
  overflow-x: auto;
}
</style>
