<script setup lang="ts">
import { computed } from 'vue'
import { length } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useSurface } from '../context'

// Stretches of cloth without a bone that are too wide, with their width.
const settings = useSettings()
const { plan, unboned, flat, sx, sz } = useSurface()
const tooWide = computed(() =>
  unboned.value
    .filter((one) => one.wide_mm > (plan.value.unboned_limit_mm ?? Infinity))
    .map((one) => {
      const offset = flat.value.offsets[one.panel - 1]
      const text = length(one.wide_mm, settings.unit, { hardware: true, bare: true })
      return { panel: one.panel, from: sx(offset + one.from_x_mm), to: sx(offset + one.to_x_mm), y: sz(one.z_mm), text }
    }),
)
</script>

<template>
  <g>
    <g v-for="one in tooWide" :key="one.panel" class="unboned">
      <line :x1="one.from" :x2="one.to" :y1="one.y" :y2="one.y" />
      <text :x="(one.from + one.to) / 2" :y="one.y - 6" class="in">{{ one.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.unboned {
  pointer-events: none;
}
.unboned line {
  stroke: var(--caution);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.unboned text {
  text-anchor: middle;
  font-size: 13.5px;
  font-weight: 650;
  fill: var(--caution);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
