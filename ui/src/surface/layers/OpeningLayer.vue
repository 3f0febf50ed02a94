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
/** A busk lies along its line, as broad as it reaches from it. */
const band = computed(() => {
  const aside = props.opening.reach_mm * scale.value * (mirrored.value ? -1 : 1)
  return path([...run.value, ...run.value.map(([x, y]): Point => [x + aside, y]).reverse()], true)
})
const marks = computed(() => props.opening.marks_z_mm.map((z): Point => [sx(openAt(z)), sz(z)]))
const high = useHigh()
const mark = computed(() => (props.opening.kind === 'busk' ? 'Stud' : 'Hook'))
</script>

<template>
  <g class="busk" :class="opening.kind.replace(' ', '-')" @click.stop="pick('opening')">
    <path v-if="opening.kind === 'busk'" :d="band" class="band" />
    <path
      v-else-if="opening.reach_mm"
      :d="path(run)"
      class="zip"
      :stroke-width="Math.max(4, opening.reach_mm * scale * 0.7)"
    />
    <FingerRoom :places="marks" @pick="(i) => pick(`stud ${i + 1}`)" />
    <circle
      v-for="(z, i) in opening.marks_z_mm"
      :key="z"
      :cx="marks[i][0]"
      :cy="marks[i][1]"
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
.band {
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
