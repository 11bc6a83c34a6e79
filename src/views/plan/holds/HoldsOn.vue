<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { Close } from '@element-plus/icons-vue'
import IconButton from '../../../components/IconButton.vue'
import { present } from '../../../core/sure'
import { computed, ref } from 'vue'
import ComboList, { type Choice } from '../../../components/ComboList.vue'
import { addHold, putOn, takeOff } from '../../../core/chart/edits/holds'
import { holder, type Hold } from '../../../core/chart/hold'
import { lookUp } from '../../../core/chart/lookUp'
import { limbInWords, sideWords } from '../../../core/sides/frames'
import { capabilityWords, leftWords, limbsWords } from '../../../core/holds/limbWords'
import { reopenedBy } from '../../../core/holds/pinCheck'
import { changeText } from '../../../core/say/figureText'
import { whyNothing } from '../../../core/say/holds'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useHolds } from './holds'
import { t } from '../../../words/holds'

/** The holds that are on in a position, ours and theirs, and what letting go of each would mean. */
const { chart, position, on, worths, select, selected } = useHolds()
const charts = useCharts()
const store = useFigures()
const isAdding = ref(false)

const rows = computed(() =>
  on.value.map((hold) => {
    const isOurs = holder(hold) === 'ours'
    const without = isOurs ? worths.get(hold.id) : undefined
    const now = store.figures?.positions[present(position.value).id]?.value
    return {
      ...{ hold, isOurs, limbs: limbsWords(hold.limbs, isOurs ? 'our' : 'their'), sides: sidesOf(hold) },
      takes: (hold.denies ?? []).map(
        ({ capability, strength }) => `${capabilityWords(capability)}: ${leftWords(1 - strength)}`,
      ),
      reopens: isOurs ? reopenedBy(chart.value, present(position.value).id, hold.id) : [],
      ...lettingGo(hold, without && now !== undefined ? without.position - now : null),
    }
  }),
)

/** By how much the position is worth more or less without the hold, and why where that is nothing. */
function lettingGo(hold: Hold, change: number | null) {
  const { figures } = store
  const isNothing = change !== null && Math.abs(change) < 0.0005
  const why = isNothing && figures ? whyNothing(chart.value, present(position.value).id, hold, figures) : ''
  return { change, why }
}

/** The limbs in the words of the position's frame, where it has some for them. */
function sidesOf(hold: Hold): string {
  const { frame, orientation = {} } = present(position.value)
  const by = holder(hold)
  if (!hold.limbs.some((limb) => sideWords(frame, orientation, by, limb).length)) return ''
  return hold.limbs.map((limb) => limbInWords(frame, orientation, by, limb, charts.chart?.settings?.words)).join(', ')
}

function find(text: string): Choice[] {
  const typed = text.trim().toLowerCase()
  const taken = new Set(on.value.map(({ id }) => id))
  const known = (chart.value.holds ?? []).filter(({ id, name }) => !taken.has(id) && name.toLowerCase().includes(typed))
  const choices = known
    .slice(0, 8)
    .map(({ id, name, limbs }): Choice => ({ key: id, value: name, id, hint: limbsWords(limbs) }))
  const isNew = typed && !known.some(({ name }) => name.toLowerCase() === typed)
  return isNew ? [...choices, { key: 'new', value: text.trim(), id: null, hint: t('common.newHold') }] : choices
}

function pick({ id, value }: Choice) {
  isAdding.value = false
  const at = present(position.value).id
  let hold = id ?? ''
  let off: string[] = []
  charts.edit(t('holds.valueOn', { value }), (draft) => {
    if (!id) hold = addHold(draft, { name: value, limbs: [freeHand(on.value)] })
    off = putOn(draft, at, hold)
  })
  if (off.length)
    charts.tell(
      t('holds.letGoOfOffTheSame', { off: off.map((one) => lookUp(chart.value.holds, one)?.name).join(', ') }),
      'info',
      'undo',
    )
  if (!id) select(hold)
}

/** The limb of a new hold: a hand that has no hold yet, if there is one. */
const freeHand = (holds: readonly Hold[]) =>
  holds.some((hold) => holder(hold) === 'ours' && hold.limbs.includes('left-hand')) ? 'right-hand' : 'left-hand'

function letGo({ id, name }: Hold) {
  charts.edit(t('holds.nameOff', { name }), (draft) => takeOff(draft, present(position.value).id, id))
}
</script>

<template>
  <section class="panel" :aria-label="t('holds.holdsThatAreOn')">
    <h2>
      {{ t('holds.on') }} <span>{{ t('holds.ifWeLetGo') }}</span>
    </h2>
    <ul v-if="rows.length">
      <li
        v-for="{ hold, isOurs, limbs, sides, takes, reopens, change, why } in rows"
        :key="hold.id"
        :class="{ theirs: !isOurs, here: selected?.id === hold.id }"
      >
        <div>
          <RowButton class="name" @click="select(hold.id)">{{ hold.name }}</RowButton>
          <span class="muted limbs">
            {{ limbs
            }}<template v-if="hold.on"
              >&nbsp;{{ t('holds.onThePart', { part: hold.on.replaceAll('-', ' ') }) }}</template
            ></span
          >
          <p v-if="sides" class="small sides">{{ sides }}</p>
          <p class="muted small">{{ takes.length ? takes.join('; ') : t('holds.takesNothingFromThemYet') }}</p>
        </div>
        <p class="small reopens">
          <template v-if="reopens.length">{{
            t('holds.reopensReopens', { reopens: reopens.map(({ name }) => name).join(', ') })
          }}</template>
          <b
            v-if="change !== null"
            :class="{ none: Math.abs(change) < 0.0005 }"
            :data-tip="t('holds.changeInWhatThePositionIs')"
            >{{ changeText(change) }}</b
          >
          <span v-if="why" class="muted">: {{ why }}</span>
        </p>
        <IconButton
          :icon="Close"
          :name="t('holds.letGoOfHold', { hold: hold.name })"
          :tip="t('holds.letGo')"
          @click="letGo(hold)"
        />
      </li>
    </ul>
    <p v-else class="muted">{{ t('holds.noHoldIsChartedHerePut') }}</p>
    <ComboList
      v-if="isAdding"
      floating
      :label="t('holds.whichHold')"
      :placeholder="t('common.nameItOrTakeOneThat')"
      :find="find"
      @pick="pick"
      @cancel="isAdding = false"
    />
    <el-button v-else text class="add" @click="isAdding = true">{{ t('common.hold') }}</el-button>
  </section>
</template>

<style scoped src="./holdsPanel.css"></style>
