<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { LaidPanel, Point } from '../../api/types'
import { length } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
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
// one stop for the keyboard; the arrows go from panel to seam to panel, Enter and Space pick
const openBuild = useOpenBuild()
const settings = useSettings()
const garment = useTemplateRef<SVGGElement>('garment')
const at = ref('')
const across = (panel: LaidPanel) => length(panel.waist[1][0] - panel.waist[0][0], settings.unit)
const first = computed(() => at.value || picked.value || `panel ${panels.value[0]?.number}`)
const stop = (key: string, name: string) => ({
  role: 'button',
  tabindex: first.value === key ? 0 : -1,
  'aria-label': name,
  'aria-pressed': picked.value === key,
  'data-stop': key,
})
const order = computed(() => [
  'CF',
  ...panels.value.flatMap((panel, i) => [
    ...(i && !joined.value.includes(panel.number - 1) ? [`seam ${panel.number - 1}`] : []),
    `panel ${panel.number}`,
  ]),
  'CB',
])
function walk(event: KeyboardEvent) {
  const here = (event.target as Element).getAttribute('data-stop')
  if (!here) return
  if (event.key === 'Enter' || event.key === ' ') pick(here)
  else {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
    const key = by && order.value[order.value.indexOf(here) + by * (mirrored.value ? -1 : 1)]
    const to = key && garment.value!.querySelector<SVGElement>(`[data-stop="${key}"]`)
    if (!to) return
    at.value = key
    to.focus()
  }
  event.preventDefault()
  event.stopPropagation()
}
const shadow = computed(() => (props.behind?.length === panels.value.length ? props.behind : []))
</script>

<template>
  <g ref="garment" role="group" aria-label="Panels and seams" @keydown="walk">
    <path v-for="(panel, i) in shadow" :key="`behind ${i}`" :d="line(i, panel.outline, true)" class="behind" />
    <g v-for="(panel, i) in panels" :key="panel.number">
      <path
        :d="line(i, panel.outline, true)"
        class="panel"
        :class="{ picked: picked === `panel ${panel.number}` }"
        :data-panel="panel.number"
        v-bind="stop(`panel ${panel.number}`, `Panel ${panel.number}, ${across(panel)} at the ${openBuild.zero}`)"
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
        v-bind="stop(`seam ${panel.number}`, `Seam ${panel.number}·${panel.number + 1}`)"
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
        v-bind="stop('CF', 'Centre front edge')"
        @click.stop="pick('CF')"
      />
      <path
        v-if="i === panels.length - 1"
        :d="line(i, panel.cb_edge)"
        class="grasp"
        :class="{ picked: picked === 'CB' }"
        data-edge="CB"
        v-bind="stop('CB', 'Centre back edge')"
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
