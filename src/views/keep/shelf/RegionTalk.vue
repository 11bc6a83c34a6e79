<script setup lang="ts">
import { lookUp } from '../../../core/chart/lookUp'
import type { Found } from '../../../core/shelf/search'
import type { Shelf, ShelfRegion } from '../../../core/shelf/shelf'
import CheckMark from '../../parts/shelf/CheckMark.vue'
import { useCharts } from '../../../stores/charts'
import { usePulling } from '../../parts/shelf/pulling'
import VariantCard from '../../parts/shelf/VariantCard.vue'
import { t } from '../../../words/shelf'

/** What practitioners say of a region: its flow drills, what they decide by, where they differ, what is dangerous. */
defineProps<{ shelf: Shelf; region: ShelfRegion }>()
const emit = defineEmits<{ open: [found: Found] }>()
const charts = useCharts()
const { pull } = usePulling()
</script>

<template>
  <div class="talk">
    <section v-if="region.cautions.length" class="caution">
      <h2>{{ t('shelf.mind') }}</h2>
      <ul>
        <li v-for="one in region.cautions" :key="one.id">{{ one.text }}</li>
      </ul>
    </section>
    <section v-for="flow in region.flows" :key="flow.id">
      <h2>{{ t('shelf.flowDrill', { name: flow.name }) }}</h2>
      <p v-if="flow.notes" class="muted small">{{ flow.notes }}</p>
      <ol>
        <li v-for="step in flow.steps" :key="step.move" class="moves">
          <el-button link @click="emit('open', { kind: 'position', id: step.position })">
            {{ lookUp(shelf.positions, step.position)?.name }}
          </el-button>
          <span class="muted">{{ t('shelf.calls', { calls: step.calls }) }}</span>
          <el-button link @click="emit('open', { kind: 'move', id: step.move })">
            {{ lookUp(shelf.moves, step.move)?.name }}
          </el-button>
        </li>
      </ol>
      <p class="small muted">{{ t('shelf.andRoundAgain') }}</p>
      <el-button v-if="charts.chart" @click="pull(flow.name, { moves: flow.steps.map(({ move }) => move) })">
        {{ t('shelf.bringTheFlowIntoTheChart') }}
      </el-button>
    </section>
    <section v-if="region.rules.length">
      <h2>{{ t('shelf.theyDecideBy') }}</h2>
      <ul>
        <li v-for="one in region.rules" :key="one.id">
          <p>
            <span class="muted">{{ one.when }}: </span>{{ one.then }}. <CheckMark v-if="one.check" />
          </p>
          <p class="muted small">{{ one.because }}.</p>
          <p v-if="one.prefer" class="small moves">
            <el-button v-for="id in one.prefer" :key="id" link @click="emit('open', { kind: 'move', id })">
              {{ lookUp(shelf.moves, id)?.name }}
            </el-button>
            <template v-if="one.over">
              <span class="muted">{{ t('shelf.ratherThan') }}</span>
              <el-button v-for="id in one.over" :key="id" link @click="emit('open', { kind: 'move', id })">
                {{ lookUp(shelf.moves, id)?.name }}
              </el-button>
            </template>
          </p>
        </li>
      </ul>
    </section>
    <section v-if="region.variants.length">
      <h2>{{ t('shelf.whereTheyDiffer') }}</h2>
      <VariantCard v-for="one in region.variants" :key="one.id" :shelf="shelf" :variant="one" />
    </section>
  </div>
</template>

<style scoped>
.talk {
  display: grid;
  gap: var(--space-16);
}

li {
  padding: var(--space-8) 0;
  border-top: 1px solid var(--line);
}

.moves {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4) var(--space-12);
}

.caution {
  padding: var(--space-12) var(--space-12);
  border: 1.5px solid var(--caution);
  border-radius: var(--corner);
  background: var(--caution-soft);
}
</style>
