<script setup lang="ts">
import { computed } from 'vue'
import type { Point } from '../../api/types'
import { length } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useSurface } from '../context'

// A tape laid between two points of the paper.
const props = defineProps<{ points: Point[] }>()
const settings = useSettings()
const { sx, sz } = useSurface()
const laid = computed(() => {
  if (props.points.length < 2) return undefined
  const [[ax, az], [bx, bz]] = props.points
  const text = length(Math.hypot(ax - bx, az - bz), settings.unit)
  return { x1: sx(ax), y1: sz(az), x2: sx(bx), y2: sz(bz), x: sx((ax + bx) / 2), y: sz((az + bz) / 2) - 8, text }
})
</script>

<template>
  <g class="tape">
    <circle v-for="(spot, i) in points" :key="i" :cx="sx(spot[0])" :cy="sz(spot[1])" r="4" />
    <template v-if="laid">
      <line :x1="laid.x1" :y1="laid.y1" :x2="laid.x2" :y2="laid.y2" />
      <text :x="laid.x" :y="laid.y" class="in">{{ laid.text }}</text>
    </template>
  </g>
</template>

<style scoped>
.tape circle {
  fill: var(--letout);
}
.tape line {
  stroke: var(--letout);
  stroke-width: 1.5;
}
.tape text {
  text-anchor: middle;
  font-weight: 600;
  fill: var(--letout);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
