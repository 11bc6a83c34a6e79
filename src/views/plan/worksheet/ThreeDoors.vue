<script setup lang="ts">
import RowButton from '../../../components/RowButton.vue'
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'
import { figureOf } from '../../../core/body/body'
import { HEIGHT, WIDTH } from '../../../core/body/stage'
import { positionOf, STARTS } from '../../../core/body/starts'
import { addPosition } from '../../../core/chart/edits/records'
import { positionFromName } from '../../../core/chart/guesses'
import type { PositionId } from '../../../core/chart/ids'
import type { Position } from '../../../core/chart/position'
import { sayLines } from '../../../core/notation/edits/sayLines'
import { useCharts } from '../../../stores/charts'
import { useShelf } from '../../../stores/shelf'
import BodyFigure from '../../parts/body/BodyFigure.vue'
import { usePulling } from '../../parts/shelf/pulling'
import { t } from '../../../words/worksheet'

/** Where an empty chart begins: with a position, with a chain from the Shelf, or with one line that can be undone. */
const charts = useCharts()
const shelf = useShelf()
const router = useRouter()
const { pull } = usePulling()
const named = ref('')

const pictures = STARTS.map((start) => ({
  start,
  figure: figureOf({ frame: start.frame, name: start.name, orientation: start.sides, over: start.over, holds: [] }),
}))

/** Chains are brought in from where they begin, with what follows for so many moves. */
const ONWARD = 2
const CHAINS = ['standing-open-reach', 'side-standard', 'knee-on-belly', 'back-seatbelt-upright']
const chains = computed(() =>
  CHAINS.flatMap((id) => {
    const position = shelf.shelf?.positions.find((one) => one.id === id)
    const moves = shelf.shelf?.moves.filter(({ from }) => from === id).map((move) => move.id) ?? []
    return position ? [{ id, name: position.name, moves }] : []
  }),
)

const EXAMPLE = {
  position: 'Side control',
  line: 'Americana 4 of 10; 3 turns in (turtle) > take the back (back) 6 of 10; 1 bridges > ?',
}

async function begin(fields: Omit<Position, 'id'>) {
  let id: PositionId | undefined
  charts.edit(t('common.newPositionName', { name: fields.name }), (draft) => (id = addPosition(draft, fields)))
  if (id) await router.push(`/worksheet/${id}`)
}

async function bringIn({ id, name, moves }: (typeof chains.value)[number]) {
  pull(name, { positions: [id], moves, onward: ONWARD })
  await router.push(`/worksheet/${id}`)
}

async function tryLine() {
  let id: PositionId | undefined
  charts.edit(t('worksheet.theWorkedLine'), (draft) => {
    id = addPosition(draft, positionFromName(EXAMPLE.position))
    sayLines(draft, id, EXAMPLE.line)
  })
  charts.tell(t('worksheet.thisIsWhatOneLineMakes'), 'info', 'undo')
  if (id) await router.push(`/worksheet/${id}`)
}

onMounted(() => void shelf.load())
</script>

<template>
  <div class="doors">
    <h1>{{ t('common.whereDoYouStartFrom') }}</h1>
    <section class="panel" :aria-label="t('worksheet.pickAPosition')">
      <h2>{{ t('worksheet.pickAPosition') }}</h2>
      <ul class="wall">
        <li v-for="{ start, figure } in pictures" :key="start.name">
          <RowButton class="picture" @click="begin(positionOf(start))">
            <svg v-if="figure" :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" aria-hidden="true">
              <BodyFigure :figure="figure" />
            </svg>
            <b>{{ start.name }}</b>
          </RowButton>
        </li>
      </ul>
      <form class="own" @submit.prevent="named.trim() && begin(positionFromName(named.trim()))">
        <el-input
          v-model="named"
          :aria-label="t('worksheet.nameAnotherPosition')"
          :placeholder="t('worksheet.orNameAnother')"
          maxlength="200"
        />
        <el-button native-type="submit" :disabled="!named.trim()">{{ t('worksheet.beginThere') }}</el-button>
      </form>
    </section>
    <div class="others">
      <section class="panel" :aria-label="t('worksheet.bringInAReadyChain')">
        <h2>{{ t('worksheet.bringInAReadyChain') }}</h2>
        <p class="muted small">{{ t('worksheet.fromTheShelfWithGuessesFor') }}</p>
        <ul class="chains">
          <li v-for="chain in chains" :key="chain.id">
            <el-button @click="bringIn(chain)">
              {{ t('common.fromValue', { value: chain.name }) }}
            </el-button>
          </li>
        </ul>
      </section>
      <section class="panel" :aria-label="t('worksheet.typeOneLine')">
        <h2>{{ t('worksheet.typeOneLine') }}</h2>
        <p class="muted small">{{ t('worksheet.fromPositionAsYouWouldTell', { position: EXAMPLE.position }) }}</p>
        <p class="example">{{ EXAMPLE.line }}</p>
        <p class="muted small">
          {{ t('worksheet.ofTenTriesFourLandThree') }}
        </p>
        <el-button @click="tryLine">{{ t('worksheet.tryThisLine') }}</el-button>
      </section>
    </div>
  </div>
</template>

<style scoped>
.doors {
  display: grid;
  gap: var(--space-12);
}

.panel {
  display: grid;
  gap: var(--space-8);
  align-content: start;
  padding: var(--space-12) var(--space-16);
}

.wall {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(136px, 1fr));
  gap: var(--space-8);
}

.picture {
  display: grid;
  width: 100%;
  padding: var(--space-8);
  border: 1px solid var(--strong-line);
  border-radius: var(--corner-panel);
  background: var(--panel);
  color: inherit;
  cursor: pointer;
}

.picture:hover {
  border-color: var(--ours);
  background: var(--ours-soft);
}

.picture b {
  font: var(--weight-strong) var(--type-lead) / 1.3 var(--label);
}

svg {
  width: 100%;
  height: 74px;
}

.own {
  display: flex;
  gap: var(--space-8);
  align-items: center;
  max-width: 420px;
}

.own .el-button {
  white-space: nowrap;
}

.others .el-button {
  justify-self: start;
}

.others {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-12);
}

.chains {
  display: grid;
  justify-items: start;
  gap: var(--space-8);
}

.example {
  font: var(--weight-strong) var(--type-body) / 1.4 var(--text);
}

@media (width < 860px) {
  .others {
    grid-template-columns: 1fr;
  }
}
</style>
