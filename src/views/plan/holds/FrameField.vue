<script setup lang="ts">
import PickList from '../../../components/PickList.vue'
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { setField } from '../../../core/chart/edits/fields'
import { setFact } from '../../../core/chart/edits/records'
import { factsOf, frameOf, FRAMES, whoControls } from '../../../core/sides/frames'
import { pairsOfFrame } from '../../../core/sides/vocabulary'
import { useCharts } from '../../../stores/charts'
import SideWords from '../../parts/body/SideWords.vue'
import { useHolds } from './holds'
import { t } from '../../../words/holds'

/** How the two lie or stand to each other, and what must be known to say sides; without it, left and right are said. */
const { position } = useHolds()
const charts = useCharts()
const frame = computed(() => frameOf(position.value?.frame))
const facts = computed(() => factsOf(position.value?.frame, whoControls(present(position.value))))
/** The frames, and one of the coach's own that the position has. */
const frames = computed(() => {
  const own = position.value?.frame
  return [
    { value: '', label: t('holds.inNoFrame') },
    ...(own && !frame.value ? [{ value: own, label: own }] : []),
    ...FRAMES.map(({ id, name }) => ({ value: id, label: name })),
  ]
})

const pairs = computed(() => pairsOfFrame(position.value?.frame))
const isGuard = computed(() => position.value?.frame === 'guard')

function setFrame(frame: string) {
  const { id, name } = present(position.value)
  charts.edit(t('holds.frameOfName', { name }), (draft) => setField(draft, 'positions', id, 'frame', frame))
}

function setSide(key: string, side: string) {
  const { id, name } = present(position.value)
  charts.edit(t('common.sidesOfName', { name }), (draft) => setFact(draft, id, key, side))
}
</script>

<template>
  <div class="frame">
    <label>
      <span class="label">{{ t('holds.whichPicture') }}</span>
      <PickList :value="position!.frame ?? ''" :options="frames" @change="(picked) => setFrame(picked)" />
    </label>
    <label v-for="fact in facts" :key="fact.key">
      <span class="label">{{ fact.ask }}</span>
      <PickList
        :value="String(position!.orientation?.[fact.key] ?? '')"
        :options="[
          { value: '', label: t('holds.notSaid') },
          { value: 'left', label: t('holds.left') },
          { value: 'right', label: t('holds.right') },
        ]"
        @change="(picked) => setSide(fact.key, picked)"
      />
    </label>
    <label v-if="isGuard">
      <span class="label">{{ t('holds.whoIsUnderneath') }}</span>
      <PickList
        :value="String(position!.orientation?.below ?? '')"
        :options="[
          { value: '', label: t('common.theyAre') },
          { value: 'ours', label: t('common.weAre') },
        ]"
        @change="(picked) => setSide('below', picked)"
      />
    </label>
    <SideWords :pairs="pairs">
      <span class="label">{{ t('holds.ourWordsForIt') }}</span>
    </SideWords>
  </div>
</template>

<style scoped>
.frame {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-8) var(--space-16);
}

label {
  display: grid;
  gap: var(--space-4);
}

.el-select {
  width: 180px;
}
</style>
