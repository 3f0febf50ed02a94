<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import type { ClothCut, Marker, Point } from '../../api/types'
import { length } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { path } from '../../surface/flat'

// The cloth as it lies on the table, selvedge to selvedge, a ruler along it, and its pieces where they are cut.
const props = defineProps<{ marker: Marker; cloth: ClothCut; picked?: string; stale?: boolean }>()
const emit = defineEmits<{ pick: [key: string] }>()
const settings = useSettings()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box, { width: 760, height: 560 })
const LEFT = 46
const TOP = 34
const wide = computed(() => (props.marker.fold ? props.marker.usable_mm / 2 : props.marker.usable_mm))
const step = computed(() => (settings.unit === 'in' ? 127 : 100)) // 10 cm, or 5 in
const long = computed(() => Math.max(Math.ceil((props.marker.length_mm + 40) / step.value) * step.value, step.value))
const scale = computed(() =>
  Math.max(
    0.05,
    Math.min((size.width.value - LEFT - 16) / long.value, (size.height.value - TOP - 24) / Math.max(wide.value, 1)),
  ),
)
const x = (mm: number) => LEFT + mm * scale.value
const y = (mm: number) => TOP + (wide.value - mm) * scale.value
const labels = computed(() => new Map(props.cloth.pieces.map((piece) => [piece.key, piece])))
const stroke = ([mx, my]: Point, [dx, dy]: Point) => `M${mx - dx} ${my - dy}l${2 * dx} ${2 * dy}`
const pieces = computed(() =>
  props.marker.placed.map((one) => {
    const spots = one.outline.map(([px, py]): Point => [x(px), y(py)])
    const xs = spots.map((spot) => spot[0])
    const ys = spots.map((spot) => spot[1])
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
    const piece = labels.value.get(one.key)
    const way = (one.angle_deg * Math.PI) / 180
    const reach = Math.min(right - left, 70) * 0.3
    const flat = bottom - top < 34 // too little for a line beside its name
    const middle: Point = [(left + right) / 2, (top + bottom) / 2]
    return {
      ...one,
      d: path(spots, true),
      middle,
      text: piece?.what === 'panel' ? piece.label : (piece?.what ?? one.key),
      small: piece?.what !== 'panel',
      down: flat ? 5 : piece?.what !== 'panel' ? 15 : -5,
      grain:
        piece?.grain === 'along' && !flat ? stroke(middle, [reach * Math.cos(way), -reach * Math.sin(way)]) : undefined,
    }
  }),
)
const ticks = computed(() => Array.from({ length: Math.round(long.value / step.value) + 1 }, (_, i) => i * step.value))
</script>

<template>
  <div ref="box" class="cloth" :class="{ stale }">
    <svg
      :width="size.width.value"
      :height="size.height.value"
      role="group"
      :aria-label="`${cloth.label}, ${marker.placed.length} pieces on ${length(marker.length_mm, settings.unit)}`"
    >
      <rect :x="x(0)" :y="y(wide)" :width="long * scale" :height="wide * scale" class="ground" />
      <line :x1="x(0)" :x2="x(long)" :y1="y(wide)" :y2="y(wide)" class="selvedge" />
      <line :x1="x(0)" :x2="x(long)" :y1="y(0)" :y2="y(0)" :class="marker.fold ? 'fold' : 'selvedge'" />
      <g class="ruler">
        <g v-for="tick in ticks" :key="tick">
          <line :x1="x(tick)" :x2="x(tick)" :y1="TOP - 8" :y2="TOP" />
          <text :x="x(tick)" :y="TOP - 13">{{ Math.round(tick / (settings.unit === 'in' ? 25.4 : 10)) }}</text>
        </g>
        <text :x="LEFT - 10" :y="TOP - 13" class="unit">{{ settings.unit }}</text>
      </g>
      <text :transform="`translate(${LEFT - 12} ${y(wide / 2)}) rotate(-90)`" class="edge">
        {{ length(wide, settings.unit) }}{{ marker.fold ? ', on the fold' : '' }}
      </text>
      <g
        v-for="one in pieces"
        :key="`${one.key} ${one.number}`"
        class="piece"
        :class="{ picked: picked === one.key, mirrored: one.mirrored }"
        role="button"
        tabindex="0"
        :aria-label="`${one.text}${one.mirrored ? ', face down' : ''}`"
        :aria-pressed="picked === one.key"
        :data-placed="one.key"
        @click="emit('pick', one.key)"
        @keydown.enter.prevent="emit('pick', one.key)"
        @keydown.space.prevent="emit('pick', one.key)"
      >
        <path :d="one.d" />
        <path v-if="one.grain" class="grain" :d="one.grain" />
        <text :x="one.middle[0]" :y="one.middle[1] + one.down" :class="{ small: one.small }">
          {{ one.text }}
        </text>
      </g>
      <line :x1="x(marker.length_mm)" :x2="x(marker.length_mm)" :y1="TOP - 4" :y2="y(0) + 6" class="end" />
      <text :x="x(marker.length_mm)" :y="y(0) + 18" class="endtext in">
        {{ length(marker.length_mm, settings.unit) }}
      </text>
    </svg>
  </div>
</template>

<style scoped>
.cloth {
  position: relative;
  overflow: hidden;
  min-height: 0;
}
svg {
  position: absolute;
  inset: 0;
  display: block;
  font-family: inherit;
  fill: var(--ink);
}
.stale svg {
  opacity: 0.6;
}
.ground {
  fill: var(--bench);
}
.selvedge {
  stroke: var(--steel);
  stroke-width: 3;
  stroke-dasharray: 2 3;
}
.fold {
  stroke: var(--ink);
  stroke-width: 3;
}
.ruler line {
  stroke: var(--steel);
}
.ruler text,
.edge {
  font-size: 12.5px;
  fill: var(--steel);
  text-anchor: middle;
}
.ruler .unit {
  text-anchor: end;
}
.piece {
  cursor: pointer;
}
.piece path {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.3;
  stroke-linejoin: round;
}
.piece.mirrored path {
  fill: color-mix(in srgb, var(--metal) 14%, var(--paper));
}
.piece.picked path {
  fill: var(--marked);
  stroke-width: 2.4;
}
.piece .grain,
.piece.picked .grain,
.piece.mirrored .grain {
  fill: none;
  stroke: var(--steel);
  stroke-width: 1;
}
.piece text {
  text-anchor: middle;
  font-size: 17px;
  font-weight: 550;
  pointer-events: none;
}
.piece text.small {
  font-size: 12.5px;
  font-weight: 400;
}
.end {
  stroke: var(--letout);
  stroke-width: 1.4;
}
.endtext {
  text-anchor: middle;
  font-size: 13.5px;
  fill: var(--letout);
}
</style>
