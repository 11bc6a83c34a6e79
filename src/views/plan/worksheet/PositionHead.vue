<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import { counted } from '../../../core/say/figureText'
import InlineText from '../../../components/InlineText.vue'
import { rename } from '../../../core/chart/edits/records'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { isGuess } from '../../../core/chart/guesses'
import WhoIsAhead from '../../parts/inspectors/WhoIsAhead.vue'
import { useWorksheet } from '../../parts/inspectors/sheet'

const emit = defineEmits<{ say: []; theirs: [] }>()
const { position, moves, letters, select } = useWorksheet()
const charts = useCharts()
const store = useFigures()
const figure = computed(() => store.figures?.positions[present(position.value).id])
const loose = computed(
  () => store.figures?.looseEnds.filter((end) => end.position === present(position.value).id).length ?? 0,
)
const isStart = computed(() => store.scenario?.start === present(position.value).id)

function setName(name: string) {
  const { id } = present(position.value)
  charts.edit(`Rename to ${name}`, (draft) => rename(draft, 'positions', id, name))
}
</script>

<template>
  <header data-none tabindex="-1">
    <div>
      <h1><InlineText :value="position!.name" label="Name of the position" required @change="setName" /></h1>
      <p class="muted">
        {{ counted(moves.length, 'move') }}, {{ counted(letters.size, 'reaction')
        }}<template v-if="loose">, {{ counted(loose, 'loose end') }}</template> ·
        <button type="button" class="plain link" @click="select()">about it</button>
        <template v-if="!isStart">
          ·
          <button type="button" class="plain link" @click="store.setScenario({ start: position!.id })">
            start from here
          </button></template
        >
        <template v-else> · the start</template>
        ·
        <button type="button" class="plain link" @click="emit('say')">+ move</button>
        ·
        <button type="button" class="plain link" @click="emit('theirs')">+ what they do</button>
      </p>
      <WhoIsAhead v-if="isGuess(position!, 'ahead')" :position="position!" />
    </div>
    <AskedFigure
      class="worth"
      :value="figure?.value"
      :asked="{ of: 'position', position: position!.id }"
      :label="`Worth of ${position!.name}`"
    />
  </header>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 12px;
  padding-right: 12px;
}

header:focus {
  outline: none;
}

.link {
  text-decoration: underline;
  text-underline-offset: 2px;
}

.worth :deep(.number) {
  font-size: 28px;
}
</style>
