<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Plan, LevelName } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { LEVEL_LABELS } from '../parts/words'
import { path } from './flat'

// Where the reduction goes: the tension planned at every level, beside the rail. A level is pulled by its knob.
const props = defineProps<{ plan: Plan; sz: (z: number) => number; rail: number }>()
const openBuild = useOpenBuild()
const WIDE = 44
const waist = computed(() => {
  const i = props.plan.body?.levels.findIndex((level) => level.name === 'waist') ?? -1
  return i < 0 ? 0 : (props.plan.aim?.tension_n_per_m[i] ?? 0)
})
const most = computed(() => Math.max(60, ...(props.plan.aim?.tension_n_per_m ?? [])))
const knobs = computed(() =>
  (props.plan.body?.levels ?? []).map((level, i) => ({
    name: level.name,
    z: level.side_mm,
    tension: props.plan.aim?.tension_n_per_m[i] ?? 0,
    byHand: openBuild.build.target.shares[level.name] !== undefined,
  })),
)
const held = ref<{ name: LevelName; x: number; from: number; share: number }>()
const base = computed(() => (openBuild.build.target.job === 'none' ? most.value : waist.value))
const shown = (knob: (typeof knobs.value)[number]) =>
  held.value?.name === knob.name ? held.value.share * base.value : knob.tension
const x = (tension: number) => props.rail + 4 + (WIDE * Math.min(tension, most.value * 1.15)) / (most.value * 1.15)
const edge = computed(() => knobs.value.map((knob): [number, number] => [x(shown(knob)), props.sz(knob.z)]))
const area = computed(() =>
  path([[props.rail, edge.value[0][1]], ...edge.value, [props.rail, edge.value[edge.value.length - 1][1]]], true),
)

const set = (name: LevelName, share: number) =>
  openBuild.edit(
    [{ at: `target.shares.${name}`, value: Math.round(Math.min(1.5, Math.max(0, share)) * 100) / 100 }],
    `Tension at the ${LEVEL_LABELS[name].toLowerCase()}`,
  )
function down(event: PointerEvent, knob: (typeof knobs.value)[number]) {
  event.stopPropagation()
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = { name: knob.name, x: event.clientX, from: knob.tension / base.value, share: knob.tension / base.value }
}
function move(event: PointerEvent) {
  if (!held.value) return
  event.stopPropagation()
  const by = ((event.clientX - held.value.x) / WIDE) * most.value * 1.15
  held.value.share = Math.min(1.5, Math.max(0, held.value.from + by / base.value))
}
function up(event: PointerEvent) {
  if (!held.value) return
  event.stopPropagation()
  const { name, from, share } = held.value
  held.value = undefined
  if (Math.abs(share - from) > 0.01) set(name, share)
}
function press(event: KeyboardEvent, knob: (typeof knobs.value)[number]) {
  const way = { ArrowRight: 0.05, ArrowUp: 0.05, ArrowLeft: -0.05, ArrowDown: -0.05 }[event.key]
  if (!way) return
  event.preventDefault()
  event.stopPropagation()
  set(knob.name, (openBuild.build.target.shares[knob.name] ?? knob.tension / base.value) + way)
}
</script>

<template>
  <g v-if="knobs.length && plan.aim && most > 0" class="strip">
    <path :d="area" class="fill" /><path :d="path(edge)" class="edge" />
    <g
      v-for="knob in knobs"
      v-show="knob.name !== 'waist'"
      :key="knob.name"
      role="slider"
      tabindex="0"
      class="knob"
      :class="{ hand: knob.byHand }"
      :data-knob="knob.name"
      :aria-label="`Tension at the ${LEVEL_LABELS[knob.name].toLowerCase()}`"
      :aria-valuenow="Math.round(knob.tension)"
      aria-valuemin="0"
      :aria-valuemax="Math.round(most * 1.5)"
      :aria-valuetext="`${Math.round(knob.tension)} newtons per metre`"
      :transform="`translate(${x(shown(knob))} ${sz(knob.z)})`"
      @pointerdown="down($event, knob)"
      @pointermove="move"
      @pointerup="up"
      @keydown="press($event, knob)"
      @click.stop
    >
      <circle r="12" class="reach" /><circle r="4.5" class="mark" />
      <title>{{ LEVEL_LABELS[knob.name] }}: {{ Math.round(shown(knob)) }} N/m</title>
    </g>
    <text v-for="knob in knobs" :key="`t ${knob.name}`" :x="x(shown(knob)) + 9" :y="sz(knob.z) + 4" class="in">{{
      Math.round(shown(knob))
    }}</text>
    <text :x="rail + 5" :y="Math.min(...edge.map((point) => point[1])) - 12">tension, N/m</text>
  </g>
</template>

<style scoped>
.fill {
  fill: var(--takein);
  fill-opacity: 0.13;
}
.edge {
  fill: none;
  stroke: var(--takein);
  stroke-width: 1.6;
}
text {
  font-size: 12.5px;
  fill: var(--takein);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
  pointer-events: none;
}
.knob {
  cursor: ew-resize;
  outline: none;
  touch-action: none;
}
.reach {
  fill: transparent;
}
.mark {
  fill: var(--paper);
  stroke: var(--takein);
  stroke-width: 2;
}
.hand .mark {
  fill: var(--takein);
}
.knob:focus .reach {
  stroke: var(--takein);
  stroke-dasharray: 3 2;
}
</style>
