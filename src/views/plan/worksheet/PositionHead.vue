<script setup lang="ts">
import { present } from '../../../core/sure'
import { computed } from 'vue'
import InlineText from '../../../components/InlineText.vue'
import { rename } from '../../../core/chart/edits/records'
import { useCharts } from '../../../stores/charts'
import { useFigures } from '../../../stores/figures'
import AskedFigure from '../../parts/figures/AskedFigure.vue'
import { isGuess } from '../../../core/chart/guesses'
import PositionFigure from '../../parts/body/PositionFigure.vue'
import WhoIsAhead from '../../parts/inspectors/WhoIsAhead.vue'
import { useParts } from '../../parts/layout/parts'
import { useWorksheet } from '../../parts/inspectors/sheet'
import { t } from '../../../words/worksheet'

const emit = defineEmits<{ say: []; theirs: []; see: [] }>()
const { chart, position, moves, letters, select } = useWorksheet()
const { show } = useParts()
const charts = useCharts()
const store = useFigures()
const figure = computed(() => store.figures?.positions[present(position.value).id])
const loose = computed(
  () => store.figures?.looseEnds.filter((end) => end.position === present(position.value).id).length ?? 0,
)
const isStart = computed(() => store.scenario?.start === present(position.value).id)

const printScreen = () => window.print()

function openAbout() {
  select()
  show('about')
}

function setName(name: string) {
  const { id } = present(position.value)
  charts.edit(t('worksheet.renameToName', { name }), (draft) => rename(draft, 'positions', id, name))
}
</script>

<template>
  <header data-none tabindex="-1">
    <PositionFigure :chart="chart" :position="position!" />
    <div class="about">
      <h1>
        <InlineText :value="position!.name" :label="t('worksheet.nameOfThePosition')" required @change="setName" />
      </h1>
      <p class="muted">
        {{ t('count.move', moves.length) }}, {{ t('count.reaction', letters.size)
        }}<template v-if="loose">, {{ t('count.looseEnd', loose) }}</template>
      </p>
      <p class="muted off-paper">
        <el-button link @click="openAbout">{{ t('worksheet.aboutIt') }}</el-button>
        <template v-if="!isStart">
          ·
          <el-button link @click="store.setScenario({ start: position!.id })">
            {{ t('worksheet.startFromHere') }}
          </el-button></template
        >
        <template v-else>&nbsp;{{ t('worksheet.theStart') }}</template>
        ·
        <el-button link @click="emit('say')">{{ t('worksheet.move') }}</el-button>
        ·
        <el-button link @click="emit('theirs')">{{ t('common.whatTheyDo') }}</el-button>
        ·
        <el-button link @click="emit('see')">{{ t('worksheet.addWhatWeSee') }}</el-button>
        ·
        <el-button link @click="printScreen">{{ t('worksheet.print') }}</el-button>
        ·
        <RouterLink
          :to="{ path: '/worksheet-paper', query: { of: position!.id } }"
          :aria-label="t('worksheet.printSeveral')"
          >{{ t('worksheet.several') }}</RouterLink
        >
      </p>
      <WhoIsAhead v-if="isGuess(position!, 'ahead')" :position="position!" />
    </div>
    <AskedFigure
      class="worth"
      :value="figure?.value"
      :asked="{ of: 'position', position: position!.id }"
      :label="t('common.worthOfMove', { move: position!.name })"
    />
  </header>
</template>

<style scoped>
header {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: var(--space-12);
  padding-right: var(--space-12);
}

.about {
  flex: 1;
}

header:focus {
  outline: none;
}

.link {
  text-decoration: underline;
  text-underline-offset: 2px;
}

.worth :deep(.number) {
  font-size: var(--type-title);
}
</style>
