<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel, Point } from '../../api/types'
import { useSurface } from '../context'
import { notchTicks, path } from '../flat'

// The panels, what lies behind them, and the pieces beside them.
export type PlacedPiece = { name: string; outline: Point[]; offset: Point; middle: Point }
const props = defineProps<{ behind?: LaidPanel[]; pieces: PlacedPiece[] }>()
const { plan, panels, flat, scale, mirrored, picked, pick, sx, sz, line } = useSurface()
const rise = computed(() => (scale.value < 0.75 ? 26 : 8)) // clear of the numbers of narrow panels
const joined = computed(() => plan.value.pattern?.joined ?? [])
const last = computed(() => panels.value[panels.value.length - 1])
const highest = (panel: LaidPanel) => Math.max(...panel.outline.map((point) => point[1]))
const middle = (panel: LaidPanel) => (panel.waist[0][0] + panel.waist[1][0]) / 2
const beside = (piece: PlacedPiece) =>
  path(
    piece.outline.map(([x, z]): Point => [sx(x + piece.offset[0]), sz(z + piece.offset[1])]),
    true,
  )
const shadow = computed(() => (props.behind?.length === panels.value.length ? props.behind : []))
</script>

<template>
  <g>
    <path v-for="(panel, i) in shadow" :key="`behind ${i}`" :d="line(i, panel.outline, true)" class="behind" />
    <g v-for="(panel, i) in panels" :key="panel.number">
      <path
        :d="line(i, panel.outline, true)"
        class="panel"
        :class="{ picked: picked === `panel ${panel.number}` }"
        :data-panel="panel.number"
        @click="pick(`panel ${panel.number}`)"
      />
      <path :d="line(i, [panel.waist[0], panel.waist[1]])" class="waist" />
      <path v-for="(tick, k) in notchTicks(panel)" :key="k" :d="line(i, tick)" class="notch" />
      <path :d="line(i, [panel.grain[0], panel.grain[1]])" class="grain" />
      <path v-for="(slash, k) in panel.slashes" :key="`slash ${k}`" :d="line(i, slash)" class="slash" />
      <path v-for="(dart, k) in panel.darts" :key="`dart ${k}`" :d="line(i, dart, true)" class="dart" />
      <path
        v-if="i < panels.length - 1 && !joined.includes(panel.number)"
        :d="line(i, panel.cb_edge)"
        class="grasp"
        :class="{ picked: picked === `seam ${panel.number}` }"
        :data-seam="panel.number"
        @click.stop="pick(`seam ${panel.number}`)"
      />
      <path
        v-if="i > 0 && !joined.includes(panel.number - 1)"
        :d="line(i, panel.cf_edge)"
        class="grasp"
        :class="{ picked: picked === `seam ${panel.number - 1}` }"
        @click.stop="pick(`seam ${panel.number - 1}`)"
      />
      <path
        v-if="i === 0"
        :d="line(i, panel.cf_edge)"
        class="grasp"
        :class="{ picked: picked === 'CF' }"
        data-edge="CF"
        @click.stop="pick('CF')"
      />
      <path
        v-if="i === panels.length - 1"
        :d="line(i, panel.cb_edge)"
        class="grasp"
        :class="{ picked: picked === 'CB' }"
        data-edge="CB"
        @click.stop="pick('CB')"
      />
      <text :x="sx(flat.offsets[i] + middle(panel))" :y="sz(highest(panel)) - 9" class="number">
        {{ panel.number }}
      </text>
    </g>
    <g v-for="piece in pieces" :key="piece.name" class="piece" @click="pick(piece.name)">
      <path :d="beside(piece)" />
      <text :x="sx(piece.middle[0])" :y="sz(piece.middle[1]) - 7">{{ piece.name }}</text>
    </g>
    <text
      v-if="panels.length"
      :x="sx(flat.offsets[0] + panels[0].waist[0][0])"
      :y="sz(flat.top) - rise"
      class="side"
      :class="{ end: mirrored }"
    >
      CF
    </text>
    <text
      v-if="last"
      :x="sx(flat.offsets[panels.length - 1] + last.waist[1][0])"
      :y="sz(flat.top) - rise"
      class="side"
      :class="{ end: !mirrored }"
    >
      CB
    </text>
  </g>
</template>

<style scoped>
.panel {
  fill: var(--paper);
  fill-opacity: 0.6;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-linejoin: round;
}
.panel.picked {
  fill: var(--marked);
}
.waist {
  stroke: var(--ink);
  stroke-width: 1.6;
  fill: none;
  pointer-events: none;
}
.notch {
  stroke: var(--ink);
  stroke-width: 1;
  pointer-events: none;
}
.grain {
  stroke: var(--dot);
  stroke-width: 1;
  pointer-events: none;
}
.slash {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
  stroke-dasharray: 7 3;
}
.dart {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 1;
  stroke-dasharray: 4 2;
  pointer-events: none;
}
.grasp {
  fill: none;
  stroke: transparent;
  stroke-width: 11;
  cursor: pointer;
}
.grasp:hover {
  stroke: var(--letout);
  stroke-opacity: 0.16;
}
.grasp.picked {
  stroke: var(--marked);
  stroke-opacity: 0.9;
  stroke-width: 7;
}
.piece path {
  fill: var(--paper);
  fill-opacity: 0.6;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.piece text {
  text-anchor: middle;
  font-size: 13.5px;
  fill: var(--steel);
}
.number {
  text-anchor: middle;
  font-size: 21px;
  font-weight: 500;
  fill: var(--steel);
  pointer-events: none;
}
.side {
  font-size: 13px;
  fill: var(--steel);
}
.side.end {
  text-anchor: end;
}
.behind {
  fill: none;
  stroke: var(--steel);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
  pointer-events: none;
}
</style>
