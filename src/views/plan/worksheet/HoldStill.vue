<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { computed, ref } from 'vue'
import { valueOf } from '../../../components/events'
import LooseRing from '../../../components/LooseRing.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { setOut } from '../../../core/chart/edits/records'
import { setUnprompted } from '../../../core/chart/edits/tries'
import { isGuess } from '../../../core/chart/guesses'
import { toReactionId } from '../../../core/chart/ids'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import FromHere from '../../parts/add/FromHere.vue'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'
import ReactionRow from './ReactionRow.vue'
import { t } from '../../../words/worksheet'

/** What they do while we hold still, how often, and that a good partner gets out. */
const { position } = useWorksheet()
const charts = useCharts()
const store = useFigures()
const field = ref<InstanceType<typeof FromHere>>()
/** What it costs that they get out; not known while it is being worked out. */
const cost = computed(() => {
  const ends = store.figures?.looseEnds ?? []
  const at = ends.findIndex(({ met, position: id }) => met.by === 'out' && id === position.value?.id)
  return at < 0 ? undefined : store.costs[at]
})
const reactions = computed(() => Object.keys(position.value?.unprompted?.reactions ?? {}).map(toReactionId))

function setEvery(event: Event) {
  const { id, name, unprompted } = present(position.value)
  const every = Number(valueOf(event))
  charts.edit(t('worksheet.howOftenInName', { name }), (draft) =>
    setUnprompted(draft, id, every, unprompted?.reactions ?? {}),
  )
}

function setOutEvery(event: Event) {
  const { id, name } = present(position.value)
  const typed = valueOf(event)
  charts.edit(t('common.gettingOutOfName', { name }), (draft) =>
    setOut(draft, id, typed === '' ? undefined : Number(typed)),
  )
}

function takeOff() {
  const { id, name } = present(position.value)
  charts.edit(t('worksheet.nobodyJustGetsOutOfName', { name }), (draft) => setOut(draft, id, undefined))
  charts.tell(t('worksheet.nobodyGetsOutOfNameBut', { name }), 'info', 'undo')
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <article v-if="position" class="panel still" :aria-label="t('common.whileWeHoldStill')">
    <h2>
      {{ t('common.whileWeHoldStill') }}
      <label v-if="position.unprompted" class="muted small">
        <I18nT keypath="worksheet.aboutEverySeconds" scope="global"
          ><template #seconds
            ><SteadyInput
              class="seconds"
              type="number"
              min="1"
              :aria-label="t('worksheet.secondsUntilTheyDoSomething')"
              :value="position.unprompted.every"
              @change="setEvery" /></template
          ><template #guess>{{ isGuess(position, 'unprompted') ? t('common.aGuess') : '' }}</template></I18nT
        >
      </label>
    </h2>
    <p v-if="position.out" class="out">
      <LooseRing :text="t('common.getsOut')" />
      <label class="muted small">
        <I18nT keypath="worksheet.afterAboutSeconds" scope="global"
          ><template #seconds
            ><SteadyInput
              class="seconds"
              type="number"
              min="1"
              :aria-label="t('worksheet.secondsUntilAGoodPartnerIs')"
              :value="position.out.every"
              @change="setOutEvery" /></template
          ><template #guess>{{ isGuess(position, 'out') ? t('common.aGuess') : '' }}</template></I18nT
        >
      </label>
      <el-button link class="small" @click="takeOff">{{ t('worksheet.takeThisOff') }}</el-button>
      <AskedFigure
        v-if="typeof cost === 'number'"
        :value="cost"
        form="cost"
        :asked="{ of: 'cost', reaction: t('worksheet.gettingOutOfPosition', { position: position.name }), cost }"
        :label="t('worksheet.costOfGettingOut')"
      />
    </p>
    <ul>
      <ReactionRow v-for="id in reactions" :key="id" :reaction-id="id" />
    </ul>
    <FromHere ref="field" :key="position.id" class="off-paper" />
  </article>
</template>

<style scoped>
.still {
  padding: var(--space-12) var(--space-12) var(--space-8) var(--space-16);
}

.out {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-4) var(--space-8);
  padding: var(--space-4) var(--space-4);
}

.seconds {
  width: 64px;
}
</style>
