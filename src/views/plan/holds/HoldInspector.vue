<script setup lang="ts">
import { I18nT } from 'vue-i18n'
import { valueOf } from '../../../components/events'
import { computed } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import NotesField from '../../../components/NotesField.vue'
import SteadyInput from '../../../components/SteadyInput.vue'
import { changeText, finer } from '../../../core/say/figureText'
import { setField } from '../../../core/chart/edits/fields'
import { removeHold, setDenial, setLimbs } from '../../../core/chart/edits/holds'
import { holder, type Hold } from '../../../core/chart/hold'
import { LIMBS, type Limb } from '../../../core/chart/words'
import { CAPABILITY_IDS, capabilityWords, limbWords, partNamed } from '../../../core/holds/limbWords'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import { useHolds } from './holds'
import { useRemoving } from '../../parts/removing'
import { t } from '../../../words/holds'

/** A hold in detail: which limbs it takes, what it takes from the other, and what it is worth here. */
const props = defineProps<{ hold: Hold }>()
const { chart, position, on, worths, select } = useHolds()
const charts = useCharts()
const removing = useRemoving()
const store = useFigures()

const strengths = computed(
  () => new Map((props.hold.denies ?? []).map(({ capability, strength }) => [capability, strength])),
)
const capabilities = computed(() => [...new Set([...CAPABILITY_IDS, ...strengths.value.keys()])])
const isOn = computed(() => on.value.some(({ id }) => id === props.hold.id))
const places = computed(() => chart.value.positions.filter(({ holds }) => holds?.includes(props.hold.id)))
/** The worth of position and start with this hold and without it, as far as both are solved. */
const worth = computed(() => {
  const tried = worths.get(props.hold.id)
  const now = position.value && store.figures?.positions[position.value.id]?.value
  if (!tried || now === undefined) return null
  return isOn.value ? { with: now, without: tried.position } : { with: tried.position, without: now }
})

function set<F extends keyof Hold>(label: string, field: F, value: Hold[F] | undefined) {
  const { id, name } = props.hold
  charts.edit(t('common.fieldOfName', { field: label, name }), (draft) => setField(draft, 'holds', id, field, value))
}

function toggleLimb(limb: Limb) {
  const { id, name, limbs } = props.hold
  const next = limbs.includes(limb)
    ? limbs.filter((one) => one !== limb)
    : LIMBS.filter((one) => one === limb || limbs.includes(one))
  if (!next.length) return void charts.tell(t('holds.aHoldTakesAtLeastOne'), 'warning')
  charts.edit(t('holds.limbsOfName', { name }), (draft) => setLimbs(draft, id, next))
}

function deny(capability: string, event: Event) {
  const tenths = Number(valueOf(event))
  const { id, name } = props.hold
  charts.edit(
    t('holds.whatNameTakes', { name }),
    (draft) => setDenial(draft, id, capability, tenths / 10),
    `deny ${id} ${capability}`,
  )
}

function remove() {
  const { id, name } = props.hold
  select(undefined)
  removing(
    { id, name: t('common.nameEverywhere', { name }) },
    (draft) => removeHold(draft, id),
    t('common.removeName', { name }),
  )
}
</script>

<template>
  <div class="inspector">
    <header>
      <h2>
        <InlineText
          :value="hold.name"
          :label="t('holds.nameOfTheHold')"
          required
          @change="(name) => set(t('holds.name'), 'name', name)"
        />
      </h2>
      <p class="muted small">
        {{
          t('holds.holdInPlaces', {
            hold: holder(hold) === 'ours' ? t('holds.ours') : t('holds.theirs'),
            places: places.map(({ name }) => name).join('; ') || t('holds.noPosition'),
          })
        }}
      </p>
    </header>
    <p class="worth">
      <I18nT v-if="worth" keypath="holds.worthWithAndWithout" scope="global"
        ><template #position>{{ position!.name }}</template
        ><template #with
          ><b>{{ finer(worth.with) }}</b></template
        ><template #without
          ><b>{{ finer(worth.without) }}</b></template
        ><template #hold
          ><b>{{ changeText(worth.with - worth.without) }}</b></template
        ></I18nT
      >
    </p>
    <fieldset>
      <legend class="label">{{ t('holds.limbsThatItTakes') }}</legend>
      <el-checkbox
        v-for="limb in LIMBS"
        :key="limb"
        :model-value="hold.limbs.includes(limb) ?? false"
        @change="toggleLimb(limb)"
      >
        {{ limbWords(limb) }}</el-checkbox
      >
    </fieldset>
    <label class="across"
      ><span class="label on">{{ t('holds.on') }}</span>
      <InlineText
        :value="limbWords(hold.on ?? '')"
        :label="t('holds.whatItIsOn')"
        :placeholder="t('holds.whereItHolds')"
        @change="(words) => set(t('holds.part'), 'on', partNamed(words))"
      />
    </label>
    <fieldset class="denies">
      <legend class="label">{{ t('holds.ofTenTriesItTakesAway') }}</legend>
      <label v-for="capability in capabilities" :key="capability" :class="{ none: !strengths.get(capability) }">
        <span>{{ capabilityWords(capability) }}</span>
        <SteadyInput
          type="number"
          min="0"
          max="10"
          :value="Math.round((strengths.get(capability) ?? 0) * 10)"
          :aria-label="t('holds.takesFromCapability', { capability: capabilityWords(capability) })"
          @change="deny(capability, $event)"
        />
      </label>
    </fieldset>
    <NotesField :value="hold.notes" @change="(notes) => set(t('common.notes'), 'notes', notes)" />
    <el-button @click="remove">{{ t('holds.removeThisHoldEverywhere') }}</el-button>
  </div>
</template>

<style scoped src="../../parts/inspectors/inspector.css"></style>

<style scoped>
fieldset {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-4) var(--space-8);
  margin: var(--space-12) 0;
  padding: var(--space-8) var(--space-12);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  font-size: var(--type-body);
}

.denies {
  grid-template-columns: 1fr;
}

.denies label {
  display: flex;
  justify-content: space-between;
  align-items: center;
}

.denies .el-input {
  width: 58px;
  min-height: var(--control);
}

.none {
  color: var(--muted);
}

.on {
  margin-right: var(--space-12);
}

.worth {
  min-height: 4.2em;
  margin: var(--space-8) 0;
}
</style>
