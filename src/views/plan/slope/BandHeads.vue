<script setup lang="ts">
import { useSlope } from './slope'
import { t } from '../../../words/slope'

/** The names of the bands, which stay at the left edge while the picture is panned. */
const { scene, folded } = useSlope()
</script>

<template>
  <svg v-if="scene" class="overlay">
    <g class="heads">
      <rect class="column" width="92" :height="scene.height" />
      <text v-for="band in scene.bands" :key="band.key" class="head" x="10" :y="band.y + 6">
        <template v-if="folded.has(band.key)">
          {{ t('slope.bandPlacesFolded', { band: band.name, places: band.places }) }}
        </template>
        <template v-else>
          <tspan v-for="(part, i) in band.name.split(', ')" :key="i" x="10" :dy="i ? '1.15em' : 0">{{ part }}</tspan>
        </template>
      </text>
    </g>
  </svg>
</template>
