<script setup lang="ts">
import { computed } from 'vue'
import type { Fit, Point } from '../../api/types'
import { useSurface } from '../context'
import { limitAt, path } from '../flat'
import { RAIL } from '../viewport'

// Pressure along the lacing edge, as a profile beside the rail; full width is the comfort limit.
const props = defineProps<{ fit: Fit }>()
const WIDE = 34
const { plan, sz } = useSurface()
const drawn = computed(() => {
  const { z_mm: z, pressure_kpa: pressure } = props.fit
  const points = z.map((at, i): Point => [RAIL + (WIDE * pressure[i]) / limitAt(plan.value.levels, at), sz(at)])
  const [low, high] = [sz(z[0]), sz(z[z.length - 1])]
  return { area: path([[RAIL, low], ...points, [RAIL, high]], true), edge: path(points), low, high }
})
</script>

<template>
  <g class="pressure">
    <path :d="drawn.area" class="fill" />
    <path :d="drawn.edge" class="edge" />
    <line :x1="RAIL + WIDE" :x2="RAIL + WIDE" :y1="drawn.low" :y2="drawn.high" class="limit" />
    <text :x="RAIL + 4" :y="drawn.high - 8">pressure</text>
  </g>
</template>

<style scoped>
.fill {
  fill: var(--metal);
  fill-opacity: 0.22;
}
.edge {
  fill: none;
  stroke: var(--metal);
  stroke-width: 1.6;
}
.limit {
  stroke: var(--takein);
  stroke-dasharray: 4 3;
}
text {
  font-size: 12.5px;
  fill: var(--metal);
}
</style>
