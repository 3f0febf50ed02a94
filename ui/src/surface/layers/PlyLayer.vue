<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Point } from '../../api/types'
import { useSurface } from '../context'

// The panels that the picked ply lies on, shaded by how it is mounted, and which way its grain runs.
const { plan, panels, picked, flat, sx, sz, line } = useSurface()
const id = useId()
const at = computed(() => Number(/^ply (\d+)/.exec(picked.value ?? '')?.[1] ?? 0) - 1)
const ply = computed(() => (at.value < 0 ? undefined : plan.value.layers?.plies.at(at.value)))
const ANGLES = { along: 0, bias: 45, across: 90 }
/** Sewn as one slants, what hangs loose is dotted, what lies over it is crossed, fused is full. */
const shade = computed(() => {
  const how = ply.value?.mounted
  if (how === 'fused') return 'full'
  if (how === 'flat-lined') return 'slant'
  return how === 'floating' || how === 'bagged' ? 'dots' : 'crossed'
})
const lying = computed(() =>
  panels.value.flatMap((panel, i) => {
    if (!ply.value?.panels.includes(panel.number)) return []
    const middle = (panel.waist[0][0] + panel.waist[1][0]) / 2
    const [low, high] = [panel.grain[0][1], panel.grain[1][1]]
    const half = (Math.min(high - low, 170) / 2) * 0.7
    const centre: Point = [sx(flat.value.offsets[i] + middle), sz((low + high) / 2)]
    const reach = Math.abs(sz(half) - sz(0)) * (ply.value.grain === 'along' ? 1 : 0.45)
    return [{ number: panel.number, outline: line(i, panel.outline, true), centre, reach }]
  }),
)
</script>

<template>
  <g v-if="ply" class="ply" :class="ply.role" :data-ply="ply.role">
    <defs>
      <pattern :id="`${id}slant`" patternUnits="userSpaceOnUse" width="9" height="9" patternTransform="rotate(45)">
        <path d="M0 0V9" class="mark" />
      </pattern>
      <pattern :id="`${id}crossed`" patternUnits="userSpaceOnUse" width="10" height="10" patternTransform="rotate(45)">
        <path d="M0 0V10M0 0H10" class="mark" />
      </pattern>
      <pattern :id="`${id}dots`" patternUnits="userSpaceOnUse" width="8" height="8">
        <circle cx="4" cy="4" r="1.1" class="dot" />
      </pattern>
    </defs>
    <g v-for="one in lying" :key="one.number">
      <path :d="one.outline" class="tint" />
      <path v-if="shade !== 'full'" :d="one.outline" :fill="`url(#${id}${shade})`" />
      <path
        class="grain"
        :transform="`translate(${one.centre[0]} ${one.centre[1]}) rotate(${ANGLES[ply.grain]})`"
        :d="`M0 ${-one.reach}V${one.reach}M-4 ${-one.reach + 8}L0 ${-one.reach}L4 ${-one.reach + 8}${
          ply.one_way ? '' : `M-4 ${one.reach - 8}L0 ${one.reach}L4 ${one.reach - 8}`
        }`"
      />
    </g>
  </g>
</template>

<style scoped>
.ply {
  pointer-events: none;
  color: var(--ply-strength);
}
.fashion {
  color: var(--ply-fashion);
}
.overlay {
  color: var(--ply-overlay);
}
.lining {
  color: var(--ply-lining);
}
.interlining {
  color: var(--ply-interlining);
}
.tint {
  fill: currentColor;
  fill-opacity: 0.1;
}
.mark {
  stroke: currentColor;
  stroke-opacity: 0.4;
  stroke-width: 1.4;
}
.dot {
  fill: currentColor;
  fill-opacity: 0.5;
}
.grain {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.8;
}
</style>
