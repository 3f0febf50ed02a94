<script setup lang="ts">
import { computed } from 'vue'
import type { Point } from '../api/types'

// One half of a garment, small: its panels as they lie from CF to CB.
const props = defineProps<{ outlines: Point[][]; label: string }>()
const box = computed(() => {
  const points = props.outlines.flat()
  const [xs, zs] = [points.map((point) => point[0]), points.map((point) => point[1])]
  const [left, top] = [Math.min(...xs), Math.max(...zs)]
  return { left, top, wide: Math.max(...xs) - left, high: top - Math.min(...zs) }
})
const lines = computed(() =>
  props.outlines.map((outline) =>
    outline.map(([x, z]) => `${(x - box.value.left).toFixed(1)},${(box.value.top - z).toFixed(1)}`).join(' '),
  ),
)
</script>

<template>
  <svg
    v-if="outlines.length"
    class="flat"
    role="img"
    :aria-label="label"
    :viewBox="`-2 -2 ${box.wide + 4} ${box.high + 4}`"
  >
    <polygon v-for="(line, i) in lines" :key="i" :points="line" />
  </svg>
</template>

<style scoped>
.flat polygon {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
  vector-effect: non-scaling-stroke;
}
</style>
