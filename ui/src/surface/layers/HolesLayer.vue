<script setup lang="ts">
import { computed } from 'vue'
import type { Holes } from '../../api/types'
import { useHigh, useSurface } from '../context'
import FingerRoom from './FingerRoom.vue'

// The rows of holes behind, and in front where it is laced there.
const props = defineProps<{ holes: Holes; pair: boolean }>()
const { panels, flat, scale, picked, pick, sx, sz } = useSurface()
const last = computed(() => panels.value[panels.value.length - 1])
const edge = computed(
  () => flat.value.offsets[panels.value.length - 1] + last.value.cb_edge[0][0] - props.holes.inset_mm,
)
const behind = computed(() => sx(edge.value))
const infront = computed(() => sx(flat.value.offsets[0] + panels.value[0].cf_edge[0][0] + props.holes.inset_mm))
const high = useHigh()
const size = computed(() => Math.max(3, 5 * scale.value))
</script>

<template>
  <g>
    <FingerRoom :heights="holes.z_mm" :across="() => edge" @pick="(i) => pick(`row ${i + 1}`)" />
    <circle
      v-for="(z, i) in holes.z_mm"
      :key="z"
      class="hole"
      :class="{ pair: pair && Math.abs(z) < 15, picked: picked === `row ${i + 1}` }"
      :cx="behind"
      :cy="sz(z)"
      :r="size"
      role="button"
      tabindex="0"
      :aria-label="`Row ${i + 1}, ${high(z)}`"
      :data-row="i + 1"
      @click.stop="pick(`row ${i + 1}`)"
      @keydown.enter.space.prevent="pick(`row ${i + 1}`)"
    />
    <circle v-for="z in holes.front_z_mm" :key="`front ${z}`" class="hole" :cx="infront" :cy="sz(z)" :r="size" />
  </g>
</template>

<style scoped>
.hole {
  fill: none;
  stroke: var(--metal);
  stroke-width: 2.4;
  cursor: pointer;
}
.hole.pair {
  fill: var(--metal);
  fill-opacity: 0.3;
}
.hole:focus {
  outline: none;
  stroke: var(--letout);
  stroke-width: 3;
}
.hole.picked {
  fill: var(--letout);
  fill-opacity: 0.35;
}
</style>
