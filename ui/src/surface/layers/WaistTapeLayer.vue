<script setup lang="ts">
import { computed } from 'vue'
import { useSurface } from '../context'
import { path, tapeStretches } from '../flat'

// The waist tape along the half, between the front bone and the lacing edge.
const props = defineProps<{ fromCf: number; toCf: number }>()
const { panels, flat, scale, sx, sz } = useSurface()
const runs = computed(() =>
  tapeStretches(panels.value, props.fromCf, props.toCf).map(({ i, from, to }) =>
    path([
      [sx(flat.value.offsets[i] + from), sz(0)],
      [sx(flat.value.offsets[i] + to), sz(0)],
    ]),
  ),
)
</script>

<template>
  <g>
    <path v-for="(run, k) in runs" :key="k" :d="run" class="tape" :stroke-width="Math.max(6, 25 * scale)" />
  </g>
</template>

<style scoped>
.tape {
  fill: none;
  stroke: var(--ink);
  stroke-opacity: 0.13;
  pointer-events: none;
}
</style>
