<script setup lang="ts">
import { computed } from 'vue'
import type { Point } from '../../api/types'
import { useSurface } from '../context'
import { path } from '../flat'

// What lies on the garment: lines with their pieces, areas, flossed ends, and where straps are sewn in.
const { plan, half, picked, pick, panels, place, line } = useSurface()
const trims = computed(() => plan.value.trims)
const index = computed(() => new Map(panels.value.map((panel, i) => [panel.number, i])))
const partsOf = (one: {
  parts?: { panel: number; points: unknown }[]
  left_parts?: { panel: number; points: unknown }[]
}) =>
  ((half.value === 'left' ? one.left_parts : one.parts) ?? []).flatMap((part) => {
    const i = index.value.get(part.panel)
    return i === undefined ? [] : [line(i, part.points as Point[])]
  })
const lines = computed(() =>
  [...(trims.value?.along ?? []), ...(trims.value?.hanging ?? [])].map((one) => ({
    key: one.key,
    name: one.name,
    counted: 'laid' in one && one.laid?.count != null,
    paths: partsOf(one),
  })),
)
/** Where a spot of a panel is in the window: none of a panel that is not of this half. */
const spots = (panel: number, at: Point) => {
  const i = index.value.get(panel)
  return i === undefined ? [] : place(i, [at])
}
const pieces = computed(() =>
  (trims.value?.along ?? [])
    .filter((one) => (half.value === 'left' ? one.left_parts : one.parts).length)
    .flatMap((one) => one.spots.flatMap(([panel, at]) => spots(panel, at).map((at) => ({ key: one.key, at })))),
)
const areas = computed(() =>
  (trims.value?.areas ?? []).map((area) => ({
    key: area.key,
    name: area.name,
    paths: (area.laid?.outline ?? []).flatMap(([panel, points]) => {
      const i = index.value.get(panel)
      return i === undefined ? [] : [line(i, points, true)]
    }),
    places: (area.laid?.places ?? []).flatMap(([panel, at]) => spots(panel, at)),
  })),
)
const ends = computed(() =>
  (trims.value?.flossing ?? []).flatMap((one) =>
    (one.laid?.at ?? []).flatMap((end) =>
      spots(end.panel, end.at).map((at) => ({
        key: one.key,
        id: `${end.channel} ${end.end}`,
        at,
        way: end.end === 'top' ? 1 : -1,
      })),
    ),
  ),
)
const stitch = ([x, y]: Point, way: number) =>
  path([
    [x - 4, y + 9 * way],
    [x, y],
    [x + 4, y + 9 * way],
  ])
const straps = computed(() =>
  (trims.value?.straps ?? []).flatMap((strap) =>
    strap.parts.flatMap((part, i) => spots(part.panel, part.points[0]).map((at) => ({ key: `${strap.key}`, i, at }))),
  ),
)
</script>

<template>
  <g>
    <g
      v-for="area in areas"
      :key="area.key"
      class="area"
      :class="{ picked: picked === area.key }"
      :data-trim="area.key"
      @click.stop="pick(area.key)"
    >
      <path v-for="(d, i) in area.paths" :key="i" :d="d" />
      <circle v-for="(at, i) in area.places" :key="`p${i}`" :cx="at[0]" :cy="at[1]" r="5" />
    </g>
    <g
      v-for="course in lines"
      :key="course.key"
      class="along"
      :class="{ picked: picked === course.key, counted: course.counted }"
      :data-trim="course.key"
      role="button"
      tabindex="0"
      :aria-label="course.name"
      @click.stop="pick(course.key)"
      @keydown.enter="pick(course.key)"
    >
      <path v-for="(d, i) in course.paths" :key="i" :d="d" class="reach" />
      <path v-for="(d, i) in course.paths" :key="`l${i}`" :d="d" />
    </g>
    <circle
      v-for="(piece, i) in pieces"
      :key="i"
      class="piece"
      :class="{ picked: picked === piece.key }"
      :cx="piece.at[0]"
      :cy="piece.at[1]"
      r="2.6"
    />
    <g v-for="end in ends" :key="`${end.key} ${end.id}`" class="floss" :class="{ picked: picked === end.key }">
      <path v-if="end.at" :d="stitch(end.at, end.way)" />
    </g>
    <rect
      v-for="strap in straps"
      :key="`${strap.key} ${strap.i}`"
      class="strap"
      :class="{ picked: picked === strap.key }"
      :x="strap.at[0] - 6"
      :y="strap.at[1] - 12"
      width="12"
      height="12"
    />
  </g>
</template>

<style scoped>
.along path {
  fill: none;
  stroke: var(--metal);
  stroke-width: 2.4;
}
.along .reach {
  stroke: transparent;
  stroke-width: 12;
}
.along.counted path:not(.reach) {
  stroke-width: 0.8;
  stroke-opacity: 0.6;
}
.along.picked path:not(.reach) {
  stroke: var(--letout);
}
.along {
  cursor: pointer;
}
.piece {
  fill: var(--metal);
  pointer-events: none;
}
.piece.picked {
  fill: var(--letout);
}
.area path {
  fill: var(--metal);
  fill-opacity: 0.14;
  stroke: var(--metal);
  stroke-dasharray: 3 3;
  cursor: pointer;
}
.area circle {
  fill: none;
  stroke: var(--metal);
  stroke-width: 1.6;
}
.area.picked path {
  fill: var(--letout);
  stroke: var(--letout);
}
.floss path {
  fill: none;
  stroke: var(--takein);
  stroke-width: 1.8;
}
.strap {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.strap.picked {
  fill: var(--marked);
}
</style>
