<script setup lang="ts">
import { computed } from 'vue'
import type { Opening, Point } from '../../api/types'
import { useHigh, useSurface } from '../context'
import { edgeAt, path } from '../flat'
import FingerRoom from './FingerRoom.vue'

// What opens the garment, on its line: busk with its studs, zip, hooks.
const props = defineProps<{ opening: Opening }>()
const { panels, flat, scale, mirrored, picked, pick, sx, sz } = useSurface()

/** x of the line that opens, at a height, on the table. */
function openAt(z: number) {
  const i = Math.min(Math.max(props.opening.seam - 1, 0), panels.value.length - 1)
  const panel = panels.value[i]
  return flat.value.offsets[i] + edgeAt(props.opening.seam ? panel.cb_edge : panel.cf_edge, z)
}
const ends = computed(() => ({ top: props.opening.top_z_mm ?? 0, bottom: props.opening.bottom_z_mm ?? 0 }))
const run = computed(() =>
  Array.from({ length: 13 }, (_, k): Point => {
    const z = ends.value.bottom + ((ends.value.top - ends.value.bottom) * k) / 12
    return [sx(openAt(z)), sz(z)]
  }),
)
const high = useHigh()
const mark = computed(() => (props.opening.kind === 'busk' ? 'Stud' : 'Hook'))
</script>

<template>
  <g class="busk" :class="opening.kind.replace(' ', '-')" @click.stop="pick('opening')">
    <rect
      v-if="opening.kind === 'busk'"
      :x="sx(openAt(ends.top)) - (mirrored ? opening.reach_mm * scale : 0)"
      :y="sz(ends.top)"
      :width="opening.reach_mm * scale"
      :height="(ends.top - ends.bottom) * scale"
    />
    <path
      v-else-if="opening.reach_mm"
      :d="path(run)"
      class="zip"
      :stroke-width="Math.max(4, opening.reach_mm * scale * 0.7)"
    />
    <FingerRoom :heights="opening.marks_z_mm" :across="openAt" @pick="(i) => pick(`stud ${i + 1}`)" />
    <circle
      v-for="(z, i) in opening.marks_z_mm"
      :key="z"
      :cx="sx(openAt(z))"
      :cy="sz(z)"
      :r="picked === `stud ${i + 1}` ? 7 : 4"
      role="button"
      tabindex="0"
      :aria-label="`${mark} ${i + 1}, ${high(z)}`"
      :data-stud="i + 1"
      @click.stop="pick(`stud ${i + 1}`)"
      @keydown.enter.space.prevent="pick(`stud ${i + 1}`)"
    />
  </g>
</template>

<style scoped>
.busk rect {
  fill: var(--steel);
  fill-opacity: 0.35;
  stroke: var(--steel);
}
.busk > circle {
  fill: var(--metal);
  cursor: pointer;
}
.busk > circle:focus {
  outline: none;
  stroke: var(--letout);
  stroke-width: 3;
}
.zip {
  fill: none;
  stroke: var(--metal);
  stroke-dasharray: 1.5 2.5;
}
</style>
