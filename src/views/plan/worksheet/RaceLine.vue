<script setup lang="ts">
import { Close } from '@element-plus/icons-vue'
import { computed, ref } from 'vue'
import { valueOf } from '../../../components/events'
import IconButton from '../../../components/IconButton.vue'
import PickList from '../../../components/PickList.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { setRace, type TriesOwner } from '../../../core/chart/edits/tries'
import { toReactionId } from '../../../core/chart/ids'
import { lookUp } from '../../../core/chart/lookUp'
import type { Move } from '../../../core/chart/move'
import type { Race } from '../../../core/chart/race'
import { raceUnder } from '../../../core/holds/race'
import { sayRace, sayTimes } from '../../../core/say/race'
import { present } from '../../../core/sure'
import { useCharts } from '../../../stores/charts'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'
import RaceBrakes from './RaceBrakes.vue'
import RaceCurves from './RaceCurves.vue'

/** A race of a move or an answer: its two times, edited in place, who is first, and what would slow them. */
const props = defineProps<{ move: Move; race: Race; owner: TriesOwner }>()
const { chart, position } = useWorksheet()
const charts = useCharts()
const isOpen = ref(false)

/** Where it is run: where the reaction that is answered ends, or where the move is tried. */
const place = computed(() => {
  const { owner } = props
  const answered = owner.of === 'answer' ? lookUp(chart.value.reactions, owner.answer.reaction)?.endsIn : undefined
  return lookUp(chart.value.positions, answered) ?? present(position.value)
})
const state = computed(() => raceUnder(chart.value, props.move, props.race, place.value.holds ?? []))
const isSlowed = computed(() => state.value.ours !== props.race.ours || state.value.theirs !== props.race.theirs)
const options = computed(() => chart.value.reactions.map(({ id, name }) => ({ value: id, label: name })))

function set(change: Partial<Race>) {
  const { owner, race, move } = props
  charts.edit(t('worksheet.raceOfMove', { move: move.name }), (draft) => setRace(draft, owner, { ...race, ...change }))
}
function setSeconds(field: 'ours' | 'theirs', event: Event) {
  set({ [field]: Number(valueOf(event).replace(',', '.').replace(/\s*s$/, '')) })
}
function remove() {
  const { owner, move } = props
  charts.edit(t('worksheet.noRaceInMove', { move: move.name }), (draft) => setRace(draft, owner, null))
  charts.tell(t('worksheet.noRaceInMove', { move: move.name }), 'info', 'undo')
}
</script>

<template>
  <div class="race" role="group" :aria-label="t('worksheet.raceOfMove', { move: move.name })">
    <div class="line">
      <b>{{ t('common.aRace') }}</b>
      <label v-for="field in ['ours', 'theirs'] as const" :key="field" class="small">
        {{ field === 'ours' ? t('worksheet.ours') : t('worksheet.theirs') }}
        <SteadyInput
          class="seconds"
          :value="race[field]"
          :aria-label="
            field === 'ours'
              ? t('worksheet.secondsThatWeNeedForMove', { move: move.name })
              : t('worksheet.secondsThatTheyNeedAgainstMove', { move: move.name })
          "
          @change="(event) => setSeconds(field, event)"
        />
        s
      </label>
      <label class="small lost">
        {{ t('worksheet.whoIsSecondMeets') }}
        <PickList
          :value="race.reaction"
          :options="options"
          :aria-label="t('worksheet.whatWeMeetWhenSecond')"
          @change="(picked) => set({ reaction: toReactionId(picked) })"
        />
      </label>
      <IconButton :icon="Close" :name="t('worksheet.noRaceInMove', { move: move.name })" @click="remove" />
    </div>
    <p class="small">
      <template v-if="isSlowed">{{ t('worksheet.withTheHoldsThatAreOn', { times: sayTimes(state) }) }}</template>
      {{ sayRace(state) }}
      <el-button link class="off-paper" :aria-expanded="isOpen" @click="isOpen = !isOpen">{{
        isOpen ? t('worksheet.lessOfIt') : t('worksheet.whatSlowsThem')
      }}</el-button>
    </p>
    <div v-if="isOpen" class="more">
      <RaceCurves :state="state" />
      <RaceBrakes :move="move" :race="race" :position="place" />
    </div>
  </div>
</template>

<style scoped>
.race {
  display: grid;
  gap: var(--space-4);
  width: 100%;
  padding: var(--space-4) 0;
}

.line {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
  align-items: center;
}

b {
  font: var(--weight-strong) var(--type-lead) / 1.2 var(--label);
}

label {
  display: inline-flex;
  gap: var(--space-4);
  align-items: center;
}

.seconds {
  width: 58px;
}

.lost {
  flex: 1 1 340px;
  min-width: 0;
  white-space: nowrap;
}

.more {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
  gap: var(--space-12);
  align-items: start;
}
</style>
