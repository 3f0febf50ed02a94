<script setup lang="ts">
import { mdiFitToPageOutline, mdiMagnifyMinusOutline, mdiMagnifyPlusOutline, mdiTapeMeasure } from '@mdi/js'
import { useElementSize } from '@vueuse/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import type { LaidPanel, LevelName, Plan, Point } from '../api/types'
import { useKeys } from '../parts/keys'
import { length } from '../parts/words'
import { useSettings } from '../stores/settings'
import { placing, provideSurface } from './context'
import { layOut } from './flat'
import HalfGarment from './HalfGarment.vue'
import MeasureLayer from './layers/MeasureLayer.vue'
import PressureLayer from './layers/PressureLayer.vue'
import TheRail from './TheRail.vue'
import { fitted, onPaper, pinched, RAIL, zoomed, type Pair, type View } from './viewport'

// The garment opened flat on pattern paper, CF to CB, against the rail whose zero is the waist. Where its halves differ
// one of them lies there, or both, the left one mirrored beside CF.
const props = defineProps<{
  plan: Plan
  layers: string[]
  next?: LaidPanel[]
  behind?: LaidPanel[]
  picked?: string
  caption?: string
  shown?: LaidPanel[]
  beside?: LaidPanel[]
  pickLevels?: boolean
}>()
const emit = defineEmits<{ pick: [key: string]; level: [name: LevelName | undefined] }>()
const on = defineModel<string[]>('on', { required: true })
const half = defineModel<'right' | 'left' | 'both'>('half', { default: 'right' })
const settings = useSettings()

// what lies on the paper
const differs = computed(() => !props.shown && (!!props.plan.left || !!props.plan.pattern?.left_panels))
const now = computed(() => (differs.value ? half.value : 'right'))
const lefts = computed(() => props.plan.pattern?.left_panels ?? props.plan.pattern?.panels ?? [])
const panels = computed(() => props.shown ?? (now.value === 'left' ? lefts.value : (props.plan.pattern?.panels ?? [])))
const other = computed(() => (props.shown ? props.beside : now.value === 'both' ? lefts.value : undefined))
const otherFlat = computed(() => layOut(other.value ?? [], undefined, props.plan.pattern?.joined ?? []))
const beyond = computed(() => (other.value?.length ? otherFlat.value.width + 2 * APART_MM : 0))
// while a drag is previewed the panels keep their places, so that only what is dragged moves
const flat = computed(() => {
  const own = props.plan.pattern?.panels ?? []
  const placed = own.length === panels.value.length ? own : panels.value
  return layOut(placed, props.next, props.plan.pattern?.joined ?? [])
})
const pieces = computed(() => {
  let x = flat.value.width + 30
  return (props.plan.pattern?.pieces ?? []).map((piece) => {
    const xs = piece.outline.map((point) => point[0])
    const zs = piece.outline.map((point) => point[1])
    const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...zs), Math.max(...zs)]
    const offset: Point = [x - left, -(low + high) / 2]
    x += right - left + 24
    const middle: Point = [(left + right) / 2 + offset[0], high + offset[1]]
    return { name: piece.name, outline: piece.outline, offset, middle, right: right + offset[0] }
  })
})
const APART_MM = 20
const wide = computed(() => Math.max(flat.value.width, ...pieces.value.map((piece) => piece.right)))
const has = (layer: string) => props.layers.includes(layer) && on.value.includes(layer)

// the window over it
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box, { width: 800, height: 560 })
const view = shallowRef<View>({ scale: 1, x: 0, y: 0 })
const fits = ref(1)
/** Nearer than all of it: one finger moves the paper then, and scrolls the page otherwise. */
const near = computed(() => view.value.scale > 1.02 * fits.value)
const margin = computed(() => (has('Tension') ? 96 : has('Pressure') ? 58 : 18))
function fitAll() {
  const room = { width: size.width.value, height: size.height.value }
  const top = Math.max(flat.value.top, ...(beyond.value ? [otherFlat.value.top] : []))
  const bottom = Math.min(flat.value.bottom, ...(beyond.value ? [otherFlat.value.bottom] : []))
  const found = fitted(room, wide.value + beyond.value, top, bottom, margin.value)
  view.value = { ...found, x: found.x + beyond.value * found.scale }
  fits.value = view.value.scale
}
watch(
  () => {
    const counts = [pieces.value.length, panels.value.length, props.next?.length ?? 0]
    const widths = [Math.round(flat.value.width / 20), Math.round(beyond.value / 20)]
    return [size.width.value, size.height.value, margin.value, ...counts, ...widths].join('/')
  },
  fitAll,
  { immediate: true },
)
const sx = (x: number) => view.value.x + x * view.value.scale
const sz = (z: number) => view.value.y - z * view.value.scale
provideSurface({
  plan: computed(() => props.plan),
  panels,
  bones: computed(() => props.plan.bones),
  unboned: computed(() => props.plan.unboned),
  half: computed(() => (now.value === 'left' ? 'left' : 'right')),
  mirrored: computed(() => false),
  flat,
  scale: computed(() => view.value.scale),
  picked: computed(() => props.picked),
  pick: (key) => emit('pick', key),
  sx,
  sz,
  ...placing(flat, sx, sz),
})
const mirror = (x: number) => view.value.x - (x + 2 * APART_MM) * view.value.scale
defineExpose({ flat, sx })

function zoom(by: number, at?: Point) {
  view.value = zoomed(view.value, by, at ?? [(size.width.value + RAIL) / 2, size.height.value / 2])
}
function pan(x: number, y: number) {
  view.value = { ...view.value, x: view.value.x + x, y: view.value.y + y }
}

// pointer: the paper is drawn, or measured on
const measuring = ref(false)
const tape = shallowRef<Point[]>([])
const pointer = shallowRef<Point>()
const fingers = new Map<number, Point>()
let dragged: { from: Point; x: number; y: number } | undefined
function at(event: MouseEvent): Point {
  const frame = box.value!.getBoundingClientRect()
  return [event.clientX - frame.left, event.clientY - frame.top]
}
function onDown(event: PointerEvent) {
  if (measuring.value) {
    const spot = onPaper(view.value, at(event))
    tape.value = tape.value.length === 1 ? [tape.value[0], spot] : [spot]
    return
  }
  fingers.set(event.pointerId, at(event))
  dragged = fingers.size === 1 ? { from: at(event), x: view.value.x, y: view.value.y } : undefined
}
function onMove(event: PointerEvent) {
  pointer.value = at(event)
  const before = [...fingers.values()]
  if (fingers.has(event.pointerId)) fingers.set(event.pointerId, pointer.value)
  if (before.length === 2) view.value = pinched(view.value, before as Pair, [...fingers.values()] as Pair)
  if (!dragged || !event.buttons) return
  const [x, y] = pointer.value
  view.value = { ...view.value, x: dragged.x + x - dragged.from[0], y: dragged.y + y - dragged.from[1] }
}
function onUp(event: PointerEvent) {
  fingers.delete(event.pointerId)
  dragged = undefined
}
function onLeave(event: PointerEvent) {
  onUp(event)
  pointer.value = undefined
}
function measure(now: boolean) {
  measuring.value = now
  tape.value = []
}

// keys
const step = 40
const ways: Record<string, [number, number]> = {
  ArrowLeft: [step, 0],
  ArrowRight: [-step, 0],
  ArrowUp: [0, step],
  ArrowDown: [0, -step],
}
const quiet = { notOnControls: true }
useKeys([
  { keys: '+', does: 'nearer', on: ['+', '='], run: () => zoom(1.25), ...quiet },
  { keys: '−', does: 'further', on: ['-'], run: () => zoom(0.8), ...quiet },
  { keys: '0', does: 'all of it', on: ['0'], run: fitAll, ...quiet },
  { keys: 'arrows', does: 'move the paper', on: Object.keys(ways), run: (event) => pan(...ways[event.key]), ...quiet },
  { keys: 'm', does: 'measure between two points', on: ['m'], run: () => measure(!measuring.value), ...quiet },
  { keys: 'Esc', does: 'stop measuring', on: ['Escape'], run: () => measure(false), when: () => measuring.value },
  { keys: 'Tab', does: 'to the next point of the garment' },
  { keys: 'arrows, on a point', does: 'move it 1 mm (1/16 in)' },
  { keys: 'Shift arrows', does: 'five times as far' },
])

// what is under the pointer
const hovered = computed(() => {
  if (!pointer.value || pointer.value[0] < RAIL) return undefined
  return onPaper(view.value, pointer.value)[1]
})
watch(
  () => {
    const z = hovered.value
    if (z === undefined) return undefined
    const near = props.plan.levels.map((level) => ({ name: level.name, off: Math.abs(level.z_mm - z) }))
    return near.length ? near.reduce((a, b) => (a.off < b.off ? a : b)).name : undefined
  },
  (name) => emit('level', name),
)
const hover = computed(() => {
  if (hovered.value === undefined) return ''
  const way = hovered.value >= 0 ? 'above' : 'below'
  return `${length(Math.abs(hovered.value), settings.unit)} ${way} the ${props.plan.pattern?.zero ?? 'waist'}`
})
const dot = computed(() => (settings.unit === 'in' ? 25.4 : 20) * view.value.scale)
</script>

<template>
  <div class="surface">
    <div class="legend">
      <slot name="legend" />
      <label v-for="layer in layers" :key="layer" class="toggle">
        <input v-model="on" type="checkbox" :value="layer" /> {{ layer }}
      </label>
      <span class="spring" />
      <span v-if="differs" class="halves" role="radiogroup" aria-label="Which half">
        <label v-for="which in ['left', 'right', 'both'] as const" :key="which"
          ><input v-model="half" type="radio" name="half" :value="which" /> {{ which }}</label
        >
      </span>
      <span v-if="!differs" class="soft small">{{ caption ?? '½ garment, CF → CB' }}</span>
      <v-btn
        :icon="mdiTapeMeasure"
        size="x-small"
        variant="text"
        :active="measuring"
        aria-label="Measure between two points"
        title="Measure (m)"
        @click="measure(!measuring)"
      />
      <v-btn
        :icon="mdiMagnifyMinusOutline"
        size="x-small"
        variant="text"
        class="by-button"
        aria-label="Further away"
        @click="zoom(0.8)"
      />
      <v-btn
        :icon="mdiMagnifyPlusOutline"
        size="x-small"
        variant="text"
        class="by-button"
        aria-label="Nearer"
        @click="zoom(1.25)"
      />
      <v-btn :icon="mdiFitToPageOutline" size="x-small" variant="text" aria-label="All of it" @click="fitAll" />
    </div>
    <div
      ref="box"
      class="paper"
      :class="{ measuring, near }"
      @pointerdown="onDown"
      @pointermove="onMove"
      @pointerup="onUp"
      @pointercancel="onUp"
      @pointerleave="onLeave"
      @wheel.prevent="(event) => zoom(event.deltaY < 0 ? 1.12 : 0.89, at(event))"
    >
      <svg
        :width="size.width.value"
        :height="size.height.value"
        role="group"
        :aria-label="`Half garment, ${panels.length} panels from centre front to centre back`"
      >
        <defs>
          <pattern
            id="dots"
            patternUnits="userSpaceOnUse"
            :width="dot * 5"
            :height="dot * 5"
            :patternTransform="`translate(${view.x} ${view.y})`"
          >
            <template v-for="i in 5" :key="i">
              <circle v-for="j in 5" :key="j" :cx="(i - 1) * dot" :cy="(j - 1) * dot" r="1" fill="var(--dot)" />
            </template>
            <path d="M-4 0H4M0 -4V4" stroke="var(--dot)" />
            <path :d="`M${dot * 5 - 4} 0h4M0 ${dot * 5 - 4}v4`" stroke="var(--dot)" />
          </pattern>
          <pattern id="hatch-in" patternUnits="userSpaceOnUse" width="5" height="5" patternTransform="rotate(45)">
            <path d="M0 0V5" stroke="var(--takein)" stroke-width="2" />
          </pattern>
          <pattern id="hatch-out" patternUnits="userSpaceOnUse" width="5" height="5" patternTransform="rotate(-45)">
            <path d="M0 0V5" stroke="var(--letout)" stroke-width="2" />
          </pattern>
        </defs>
        <rect :x="RAIL" width="100%" height="100%" fill="url(#dots)" />
        <line :x1="RAIL" :x2="size.width.value" :y1="sz(0)" :y2="sz(0)" class="waistline" />
        <line
          v-for="level in plan.levels"
          :key="level.name"
          :x1="RAIL"
          :x2="size.width.value"
          :y1="sz(level.z_mm)"
          :y2="sz(level.z_mm)"
          class="levelline"
        />
        <HalfGarment
          :plan="plan"
          :half="now === 'left' ? 'left' : 'right'"
          :panels="panels"
          :flat="flat"
          :next="has('Next version') ? next : undefined"
          :behind="behind"
          :pieces="pieces"
          :picked="picked"
          :lengths="layers[0] === 'Bones'"
          :has="has"
          :scale="view.scale"
          :sx="sx"
          :sz="sz"
          @pick="emit('pick', $event)"
        />
        <HalfGarment
          v-if="other?.length"
          :plan="plan"
          half="left"
          mirrored
          :panels="other"
          :flat="otherFlat"
          :pieces="[]"
          :picked="picked"
          :lengths="layers[0] === 'Bones'"
          :has="has"
          :scale="view.scale"
          :sx="mirror"
          :sz="sz"
          @pick="emit('pick', $event)"
        />
        <MeasureLayer v-if="tape.length" :points="tape" />
        <TheRail :view="view" :height="size.height.value" :pick-levels="pickLevels" />
        <PressureLayer v-if="plan.final && has('Pressure')" :fit="plan.final" />
        <slot name="inside" :sx="sx" :sz="sz" :scale="view.scale" :offsets="flat.offsets" :rail="RAIL" />
        <g v-if="hovered !== undefined" class="hover">
          <line :x1="RAIL - 13" :x2="size.width.value" :y1="sz(hovered)" :y2="sz(hovered)" />
          <text :x="size.width.value - 8" :y="sz(hovered) - 5" text-anchor="end" class="in">{{ hover }}</text>
        </g>
      </svg>
      <slot name="over" />
    </div>
    <div v-if="$slots.foot" class="foot"><slot name="foot" /></div>
  </div>
</template>

<style scoped>
.surface {
  display: grid;
  grid-template-rows: 40px minmax(0, 1fr) auto;
  height: 100%;
  min-width: 0;
}
.legend {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 0 8px 0 14px;
  border-bottom: 1px solid var(--line);
  white-space: nowrap;
  overflow: hidden;
}
@media (max-width: 899px) {
  .surface {
    grid-template-rows: auto max(280px, 40dvh) auto;
    height: auto;
  }
  .foot {
    max-height: none;
  }
  .legend {
    flex-wrap: wrap;
    gap: 2px 14px;
  }
}
@media (pointer: coarse) {
  .legend .by-button {
    display: none;
  }
}
.legend .spring {
  flex: 1;
}
.paper {
  position: relative;
  overflow: hidden;
  min-height: 0;
  cursor: grab;
  touch-action: pan-y;
}
.paper.near,
.paper.measuring {
  touch-action: none;
}
.paper.measuring {
  cursor: crosshair;
}
svg {
  display: block;
  position: absolute;
  inset: 0;
  font-family: inherit;
  fill: var(--ink);
  user-select: none;
}
.foot {
  border-top: 1px solid var(--line);
  padding: 10px 14px;
  overflow: auto;
  max-height: 272px;
  background: var(--paper);
}
.waistline {
  stroke: var(--steel);
  stroke-width: 1;
}
.levelline {
  stroke: var(--dot);
  stroke-dasharray: 1 5;
}
.halves {
  display: inline-flex;
  gap: 7px;
}
.legend:has(.halves) {
  gap: 9px;
}
.halves label {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  cursor: pointer;
}
.halves input {
  accent-color: var(--ink);
}
.hover {
  pointer-events: none;
}
.hover line {
  stroke: var(--letout);
  stroke-width: 0.8;
}
.hover text {
  font-size: 13px;
  fill: var(--letout);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 4px;
}
</style>
