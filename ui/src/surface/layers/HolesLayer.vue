<script setup lang="ts">
import { computed } from 'vue'
import type { Holes } from '../../api/types'
import { useHigh, useSurface } from '../context'
import FingerRoom from './FingerRoom.vue'

// The rows of holes behind, and in front where it is laced there.
const props = defineProps<{ holes: Holes; pair: boolean }>()
const { panels, half, scale, picked, pick, place } = useSurface()
const placed = computed(() => (half.value === 'left' ? props.holes.left : props.holes.right))
const behind = computed(() => place(panels.value.length - 1, placed.value.behind))
const infront = computed(() => place(0, placed.value.in_front))
const high = useHigh()
const size = computed(() => Math.max(3, 5 * scale.value))
</script>

<template>
  <g>
    <FingerRoom :places="behind" @pick="(i) => pick(`row ${i + 1}`)" />
    <circle
      v-for="(z, i) in holes.z_mm"
      :key="z"
      class="hole"
      :class="{ pair: pair && Math.abs(z) < 15, picked: picked === `row ${i + 1}` }"
      :cx="behind[i][0]"
      :cy="behind[i][1]"
      :r="size"
      role="button"
      tabindex="0"
      :aria-label="`Row ${i + 1}, ${high(z)}`"
      :data-row="i + 1"
      @click.stop="pick(`row ${i + 1}`)"
      @keydown.enter.space.prevent="pick(`row ${i + 1}`)"
    />
    <circle v-for="([x, y], i) in infront" :key="`front ${i}`" class="hole" :cx="x" :cy="y" :r="size" />
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
