<script setup lang="ts">
import type { Point } from '../../api/types'
import { reachOf } from '../flat'

// Around points that are pressed, in the window: the room of a finger, which is broader than a pointer.
defineProps<{ places: Point[] }>()
const emit = defineEmits<{ pick: [i: number] }>()
</script>

<template>
  <g aria-hidden="true">
    <circle
      v-for="([x, y], i) in places"
      :key="i"
      class="reach"
      :cx="x"
      :cy="y"
      :r="reachOf(places)"
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
