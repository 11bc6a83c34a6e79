<script setup lang="ts">
import { computed } from 'vue'
import { hundred } from '../../../core/say/figureText'
import { BAR, LEDGE_HEIGHT, PORCH, type Ledge } from '../../../core/slope/ledges'
import { t } from '../../../words/slope'

/**
 * A place to stand on: a bar that is filled as far as it is worth, its name and value on top; a finish is a capsule.
 */
const props = defineProps<{
  ledge: Ledge
  level: 'near' | 'far' | 'tiny'
  faded: boolean
  current: boolean
  start: boolean
  selected: boolean
}>()
const worth = computed(() => Math.max(0.015, Math.min(1, Math.abs(props.ledge.value ?? 0))))
const barY = LEDGE_HEIGHT - BAR
</script>

<template>
  <g
    class="ledge"
    :class="[ledge.kind, { theirs: ledge.isTheirs, faded, current, selected, below: (ledge.value ?? 0) < 0 }]"
    :transform="`translate(${ledge.x} ${ledge.y})`"
    :data-place="ledge.id"
  >
    <rect
      v-if="current || selected"
      class="reach"
      x="-3"
      y="-3"
      :width="ledge.width + 6"
      :height="ledge.height + 6"
      rx="5"
    />
    <template v-if="ledge.kind === 'position'">
      <rect v-if="!ledge.isTheirs" class="bar" :y="barY" :width="ledge.width" :height="BAR" rx="3.5" />
      <path v-else class="bar" :d="`M0 ${barY}H${ledge.width - BAR}L${ledge.width} ${LEDGE_HEIGHT}H0Z`" />
      <rect v-if="ledge.value !== null" class="worth" :y="barY" :width="ledge.width * worth" :height="BAR" rx="3.5" />
      <text v-if="level === 'near'" class="name" :x="PORCH" :y="barY - 4">{{ ledge.name }}</text>
      <text v-if="ledge.value !== null && level === 'near'" class="value" :x="ledge.width - PORCH" :y="barY - 4">
        {{ hundred(ledge.value) }}
      </text>
      <text v-if="start && level === 'near'" class="start" :x="PORCH" :y="ledge.height + 12">{{
        t('common.start2')
      }}</text>
      <g v-if="current" class="handle" data-handle :transform="`translate(${ledge.width + 5} ${barY - 5})`">
        <title>{{ t('slope.dragFromHereToWhereThe') }}</title>
        <rect width="16" height="16" rx="4" />
        <path d="M8 4v8M4 8h8" />
      </g>
    </template>
    <template v-else>
      <rect v-if="ledge.kind === 'finish'" class="capsule" :width="ledge.width" :height="ledge.height" rx="11" />
      <rect v-else-if="ledge.kind === 'over'" class="capsule" :width="ledge.width" :height="ledge.height" rx="2" />
      <path v-else class="capsule" :d="`M0 0H${ledge.width - 8}L${ledge.width} 8V${ledge.height}H0Z`" />
      <text v-if="level === 'near'" class="name" :x="ledge.width / 2" :y="ledge.height / 2 + 5">{{ ledge.name }}</text>
    </template>
  </g>
</template>
