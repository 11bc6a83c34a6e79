<script setup lang="ts">
import type { Figure } from '../../../core/body/body'
import { WIDTH, type Flat } from '../../../core/body/stage'

/** Two people on the mat, ours filled and theirs open, the nearer over the farther: a part of a picture. */
defineProps<{ figure: Figure }>()
const path = (points: readonly Flat[]) => `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`
</script>

<template>
  <g>
    <path class="mat" :d="`M6 ${figure.mat}H${WIDTH - 6}`" />
    <g class="shadow">
      <path v-for="({ points, width }, i) in figure.shadows" :key="i" :d="path(points)" :stroke-width="width" />
    </g>
    <g
      v-for="{ key, by, kind, points, width, isMoving } in figure.strokes"
      :key="key"
      :class="[by, kind, { moving: isMoving }]"
    >
      <template v-if="kind === 'head' || kind === 'nose'">
        <circle v-for="[x, y] in points" :key="x" class="round" :cx="x" :cy="y" :r="width / 2" />
      </template>
      <template v-else>
        <path class="edge" :d="`${path(points)}${kind === 'trunk' ? 'Z' : ''}`" :stroke-width="width + 3" />
        <path class="inside" :d="`${path(points)}${kind === 'trunk' ? 'Z' : ''}`" :stroke-width="width" />
      </template>
    </g>
  </g>
</template>

<style scoped>
.edge,
.inside {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}

.mat {
  stroke: var(--strong-line);
}

.shadow path {
  fill: var(--body-shadow);
  stroke: var(--body-shadow);
  stroke-linecap: round;
  stroke-linejoin: round;
}

.round {
  stroke-width: 1.5px;
}

.ours .edge,
.ours .round {
  stroke: var(--body-ours-edge);
}

.ours .inside {
  stroke: var(--body-ours);
}

.ours.trunk .inside,
.ours .round {
  fill: var(--body-ours);
}

.ours.nose .round {
  fill: var(--body-ours-edge);
}

.theirs .edge,
.theirs .round {
  stroke: var(--theirs);
}

.theirs .inside {
  stroke: var(--body-theirs);
}

.theirs.trunk .inside,
.theirs .round {
  fill: var(--body-theirs);
}

.theirs.nose .round {
  fill: var(--theirs);
}

.moving .inside {
  stroke: var(--caution);
}
</style>
