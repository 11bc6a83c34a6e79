<script setup lang="ts">
import { computed } from 'vue'
import type { Figure } from '../../../core/body/body'

/** The outlines of two people, ours filled and theirs open: a part of a picture. */
const props = defineProps<{ figure: Figure }>()
const layers = computed(() => {
  const { over, ours, theirs, isBehind } = props.figure
  const [top, bottom] = over === 'ours' ? [ours, theirs] : [theirs, ours]
  return isBehind
    ? [
        { body: top, parts: 'trunk' },
        { body: bottom, parts: 'all' },
        { body: top, parts: 'limbs' },
      ]
    : [
        { body: bottom, parts: 'all' },
        { body: top, parts: 'all' },
      ]
})
const path = (points: readonly (readonly [number, number])[]) =>
  `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`
</script>

<template>
  <g>
    <g v-for="({ body, parts }, i) in layers" :key="i" :class="[body.by, { top: i > 0 }]">
      <g v-if="parts !== 'limbs'">
        <path class="trunk edge" :d="`${path(body.trunk)}Z`" stroke-width="22" />
        <path class="trunk inside" :d="`${path(body.trunk)}Z`" stroke-width="18" />
        <circle class="head" :cx="body.head[0]" :cy="body.head[1]" r="16" />
      </g>
      <template v-if="parts !== 'trunk'">
        <g v-for="(limb, k) in body.limbs" :key="k">
          <path class="edge" :d="path(limb)" :stroke-width="k < 2 ? 13 : 16" />
          <path class="inside" :d="path(limb)" :stroke-width="k < 2 ? 9 : 12" />
        </g>
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

.head {
  stroke-width: 2;
}

.ours .edge,
.ours .head {
  stroke: var(--ours);
}

.ours .trunk.edge {
  fill: var(--ours);
}

.ours .inside {
  stroke: var(--ours-soft);
}

.ours .head,
.ours .trunk.inside {
  fill: var(--ours-soft);
}

.theirs .edge,
.theirs .head {
  stroke: var(--theirs);
}

.theirs .trunk.edge {
  fill: var(--theirs);
}

.theirs .inside {
  stroke: var(--panel);
}

.theirs .head,
.theirs .trunk.inside {
  fill: var(--panel);
}

.top {
  opacity: 0.78;
}
</style>
