<script setup lang="ts">
import { useSurface } from '../context'
import { reachOf } from '../flat'

// Around points that are pressed: the room of a finger, which is broader than a pointer.
defineProps<{ heights: number[]; across: (z: number) => number }>()
const emit = defineEmits<{ pick: [i: number] }>()
const { scale, sx, sz } = useSurface()
</script>

<template>
  <g aria-hidden="true">
    <circle
      v-for="(z, i) in heights"
      :key="z"
      class="reach"
      :cx="sx(across(z))"
      :cy="sz(z)"
      :r="reachOf(heights, scale)"
      @click.stop="emit('pick', i)"
    />
  </g>
</template>

<style scoped>
.reach {
  fill: transparent;
  stroke: none;
  display: none;
}
@media (pointer: coarse) {
  .reach {
    display: inline;
  }
}
</style>
