<script setup lang="ts">
import { mdiMagnifyMinusOutline, mdiMagnifyPlusOutline, mdiFitToPageOutline, mdiTapeMeasure } from '@mdi/js'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import type { LaidPanel, Plan, Point } from '../api/types'
import { length, perEdge } from '../words'
import { useDesk } from '../desk'
import { edgeAt, layOut, marksBySeam, path, strips } from './flat'

// The garment opened flat on pattern paper, CF to CB, against the rail whose zero is the waist.
const props = defineProps<{
  plan: Plan
  layers: string[]
  next?: LaidPanel[]
  behind?: LaidPanel[]
  picked?: string
  caption?: string
  shown?: LaidPanel[]
  pickLevels?: boolean
}>()
const emit = defineEmits<{ pick: [key: string]; level: [name: string | undefined] }>()
const on = defineModel<string[]>('on', { required: true })
const desk = useDesk()

const RAIL = 152
const box = ref<HTMLElement>()
const size = ref({ width: 800, height: 560 })
const view = ref({ scale: 1, x: 0, y: 0 })
const measuring = ref(false)
const tape = ref<Point[]>([])
const pointer = ref<Point>()
let observer: ResizeObserver | undefined

const panels = computed(() => props.shown ?? props.plan.pattern?.panels ?? [])
const joined = computed(() => props.plan.pattern?.joined ?? [])
// while a drag is previewed the panels keep their places, so that only what is dragged moves
const flat = computed(() => layOut(props.plan.pattern?.panels.length === panels.value.length ? props.plan.pattern.panels : panels.value, props.next, joined.value))
const pieces = computed(() => {
  let x = flat.value.width + 30
  return (props.plan.pattern?.pieces ?? []).map((piece) => {
    const xs = piece.outline.map((point) => point[0])
    const zs = piece.outline.map((point) => point[1])
    const offset: Point = [x - Math.min(...xs), -(Math.min(...zs) + Math.max(...zs)) / 2]
    x += Math.max(...xs) - Math.min(...xs) + 24
    return { ...piece, offset, middle: [(Math.min(...xs) + Math.max(...xs)) / 2 + offset[0], Math.max(...zs) + offset[1]] as Point }
  })
})
const wide = computed(() => (pieces.value.length ? Math.max(...pieces.value.map((piece) => Math.max(...piece.outline.map((point) => point[0])) + piece.offset[0])) : flat.value.width))
const has = (layer: string) => props.layers.includes(layer) && on.value.includes(layer)

function fitAll() {
  const { width, height } = size.value
  const left = RAIL + (has('Tension') ? 96 : has('Pressure') ? 58 : 18)
  const room = { width: width - left - 18, height: height - 64 }
  const tall = flat.value.top - flat.value.bottom + 40
  const scale = Math.min(room.width / wide.value, room.height / tall, 2.2)
  view.value = {
    scale,
    x: left + Math.max(0, (room.width - wide.value * scale) / 2),
    y: 36 + (room.height - tall * scale) / 2 + (flat.value.top + 18) * scale,
  }
}

onMounted(() => {
  observer = new ResizeObserver(([entry]) => {
    size.value = { width: entry.contentRect.width, height: entry.contentRect.height }
    fitAll()
  })
  if (box.value) observer.observe(box.value)
  window.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => {
  observer?.disconnect()
  window.removeEventListener('keydown', onKey)
})
watch(() => `${has('Pressure')}/${has('Tension')}/${pieces.value.length}/${panels.value.length}/${props.next?.length ?? 0}/${Math.round(flat.value.width / 20)}`, fitAll)

const sx = (x: number) => view.value.x + x * view.value.scale
const sz = (z: number) => view.value.y - z * view.value.scale
const place = (i: number, points: Point[]): Point[] => points.map(([x, z]) => [sx(x + flat.value.offsets[i]), sz(z)])
const line = (i: number, points: Point[], closed = false) => path(place(i, points), closed)

function zoom(by: number, at: Point = [(size.value.width + RAIL) / 2, size.value.height / 2]) {
  const scale = Math.min(8, Math.max(0.4, view.value.scale * by))
  const ratio = scale / view.value.scale
  view.value = { scale, x: at[0] - (at[0] - view.value.x) * ratio, y: at[1] - (at[1] - view.value.y) * ratio }
}

function onKey(event: KeyboardEvent) {
  if ((event.target as HTMLElement)?.matches?.('input, textarea, select, [role="button"], [role="slider"], .v-btn') || event.ctrlKey || event.metaKey) return
  const steps: Record<string, () => void> = {
    '+': () => zoom(1.25), '=': () => zoom(1.25), '-': () => zoom(0.8), '0': fitAll,
    ArrowLeft: () => (view.value.x += 40), ArrowRight: () => (view.value.x -= 40),
    ArrowUp: () => (view.value.y += 40), ArrowDown: () => (view.value.y -= 40),
    m: () => ((measuring.value = !measuring.value), (tape.value = [])),
    Escape: () => ((measuring.value = false), (tape.value = [])),
  }
  const step = steps[event.key]
  if (step) {
    event.preventDefault()
    step()
  }
}

function at(event: MouseEvent): Point {
  const frame = box.value!.getBoundingClientRect()
  return [event.clientX - frame.left, event.clientY - frame.top]
}
let dragged: { from: Point; x: number; y: number } | undefined
function onDown(event: PointerEvent) {
  if (measuring.value) {
    const [x, y] = at(event)
    const spot: Point = [(x - view.value.x) / view.value.scale, (view.value.y - y) / view.value.scale]
    tape.value = tape.value.length === 1 ? [tape.value[0], spot] : [spot]
    return
  }
  dragged = { from: at(event), x: view.value.x, y: view.value.y }
}
function onMove(event: PointerEvent) {
  pointer.value = at(event)
  if (!dragged || !event.buttons) return
  view.value.x = dragged.x + pointer.value[0] - dragged.from[0]
  view.value.y = dragged.y + pointer.value[1] - dragged.from[1]
}

// the rail
const grid = computed(() => (desk.unit === 'in' ? 25.4 : 20))
const ticks = computed(() => {
  const step = desk.unit === 'in' ? 25.4 / 2 : 10
  const found = []
  for (let i = Math.ceil((view.value.y - size.value.height) / view.value.scale / step); i * step * view.value.scale < view.value.y; i++) {
    const long = i % (desk.unit === 'in' ? 4 : 5) === 0
    found.push({ y: sz(i * step), long, text: long ? String(desk.unit === 'in' ? i / 2 : i).replace('-', '−') : '' })
  }
  return found
})
const levels = computed(() => {
  let last = -Infinity
  return (props.plan.levels ?? []).map((level) => {
    const y = Math.max(sz(level.z_mm), last + 37)
    last = y
    return { ...level, y, true: sz(level.z_mm) }
  })
})
const hovered = computed(() => {
  if (!pointer.value || pointer.value[0] < RAIL) return undefined
  return (view.value.y - pointer.value[1]) / view.value.scale
})

watch(
  () => {
    if (hovered.value === undefined) return undefined
    const near = (props.plan.levels ?? []).map((level) => ({ name: level.name, off: Math.abs(level.z_mm - hovered.value!) }))
    return near.length ? near.reduce((a, b) => (a.off < b.off ? a : b)).name : undefined
  },
  (name) => emit('level', name),
)

// pressure along the lacing edge, as a profile beside the rail; full width is the comfort limit
const pressure = computed(() => {
  const final = props.plan.final
  if (!final || !has('Pressure')) return undefined
  const wide = 34
  const known = [...(props.plan.levels ?? [])].sort((a, b) => a.z_mm - b.z_mm)
  const limit = (z: number) => {
    const above = known.findIndex((level) => level.z_mm >= z)
    if (above <= 0) return (known[0] ?? { comfort_kpa: 3 }).comfort_kpa
    const [a, b] = [known[above - 1], known[above]]
    return a.comfort_kpa + ((z - a.z_mm) / (b.z_mm - a.z_mm)) * (b.comfort_kpa - a.comfort_kpa)
  }
  const points = final.z_mm.map((z, i): Point => [RAIL + (wide * final.pressure_kpa[i]) / limit(z), sz(z)])
  const [low, high] = [sz(final.z_mm[0]), sz(final.z_mm[final.z_mm.length - 1])]
  return { area: path([[RAIL, low], ...points, [RAIL, high]], true), edge: path(points), x: RAIL + wide, low, high }
})

// what differs in the next version
const changes = computed(() =>
  props.next && props.next.length === panels.value.length
    ? panels.value.flatMap((panel, i) =>
        ([['cf_edge', -1], ['cb_edge', 1]] as const).flatMap(([edge, outward]) =>
          strips(panel[edge], props.next![i][edge], outward).map((strip) => ({ ...strip, i })),
        ),
      )
    : [],
)
const badges = computed(() => {
  return marksBySeam(props.plan.proposal?.marks ?? []).map((mark) => {
    const i = Number(mark.seam.split('·')[0]) - 1
    const right = Math.max(...panels.value[i].outline.map((point) => point[0]))
    const text = `${perEdge(mark.cf_side_mm, desk.unit)} + ${perEdge(mark.cb_side_mm, desk.unit)}`
    return {
      ...mark,
      x: sx(flat.value.offsets[i] + right + 10),
      // neighbours stand at different heights, so that none covers the next
      y: sz(Math.min(Math.max(mark.z_mm, flat.value.bottom + 20), flat.value.top - 20)) + (i % 2 ? 13 : -13),
      text,
      half: Math.max(46, 19 + text.length * 3.2),
    }
  })
})

// channels that a finding is about; stretches without a bone that are too wide; the tape and the opening along the half
const odd = computed(() => new Set((props.plan.findings ?? []).filter((one) => one.stage === 'bones').map((one) => one.where ?? '')))
const tooWide = computed(() => (props.plan.unboned ?? []).filter((one) => one.wide_mm > (props.plan.unboned_limit_mm ?? Infinity)))
/** Lengths stand at the foot of their bones; where two would meet, the next one stands lower. */
const foot = computed(() => {
  const found: Record<string, { x: number; y: number; text: string }> = {}
  let ends: number[] = []
  for (const bone of [...(props.plan.bones ?? [])].sort((a, b) => flat.value.offsets[a.panel - 1] + a.path[0][0] - flat.value.offsets[b.panel - 1] - b.path[0][0])) {
    const text = length(bone.length_mm, desk.unit, { hardware: true, bare: true })
    const x = sx(bone.path[0][0] + flat.value.offsets[bone.panel - 1])
    const half = text.length * 3.7 + 2
    let row = ends.findIndex((end) => x - half >= end)
    if (row === -1) row = ends.length
    ends = Object.assign([...ends], { [row]: x + half })
    found[bone.channel] = { x, y: sz(bone.path[0][1]) + 17 + 14 * row, text }
  }
  return found
})
/** A path moved sideways by so much, mm. */
function aside(points: Point[], by: number): Point[] {
  return by ? points.map(([x, z], i) => {
    const [a, b] = [points[Math.max(0, i - 1)], points[Math.min(points.length - 1, i + 1)]]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    return [x + ((b[1] - a[1]) / long) * by, z - ((b[0] - a[0]) / long) * by]
  }) : points
}
const tapeRuns = computed(() => {
  const tape = props.plan.waist_tape
  if (!tape) return []
  let along = 0
  return panels.value.flatMap((panel, i) => {
    const [left, right] = [panel.waist[0][0], panel.waist[1][0]]
    const [from, to] = [Math.max(left, left + tape.from_cf_mm - along), Math.min(right, left + tape.to_cf_mm - along)]
    along += right - left
    return to > from ? [[[sx(flat.value.offsets[i] + from), sz(0)], [sx(flat.value.offsets[i] + to), sz(0)]] as Point[]] : []
  })
})
/** x of the line that opens, at a height, on the table. */
function openAt(z: number) {
  const seam = props.plan.opening?.seam ?? 0
  const panel = panels.value[Math.max(seam - 1, 0)]
  return flat.value.offsets[Math.max(seam - 1, 0)] + edgeAt(seam ? panel.cb_edge : panel.cf_edge, z)
}
const openRun = computed(() => {
  const { top_z_mm: top, bottom_z_mm: bottom } = props.plan.opening!
  return Array.from({ length: 13 }, (_, k): Point => {
    const z = bottom! + ((top! - bottom!) * k) / 12
    return [sx(openAt(z)), sz(z)]
  })
})

const lastPanel = computed(() => panels.value[panels.value.length - 1])
const tapeText = computed(() =>
  tape.value.length === 2 ? length(Math.hypot(tape.value[0][0] - tape.value[1][0], tape.value[0][1] - tape.value[1][1]), desk.unit) : '',
)
// notches as ticks across the stitch line, as many as tell this seam from the others
function ticksOf(panel: LaidPanel): Point[][] {
  const found: Point[][] = []
  for (const [edge, notches, out] of [[panel.cf_edge, panel.cf_notches, -1], [panel.cb_edge, panel.cb_notches, 1]] as const) {
    for (const notch of notches)
      for (let i = 0; i < notch.marks; i++) {
        // along so short a stretch the running length is the height, near enough to draw
        const z = notch.from_waist_mm + 4 * (i - (notch.marks - 1) / 2)
        const x = edgeAt(edge, z)
        found.push([[x - 1.5 * out, z], [x + 4 * out, z]])
      }
  }
  return found
}
const highest = (panel: LaidPanel) => Math.max(...panel.outline.map((point) => point[1]))
const middle = (panel: LaidPanel) => (panel.waist[0][0] + panel.waist[1][0]) / 2
defineExpose({ flat, sx })
</script>

<template>
  <div class="surface">
    <div class="legend">
      <slot name="legend" />
      <label v-for="layer in layers" :key="layer" class="toggle">
        <input v-model="on" type="checkbox" :value="layer" /> {{ layer }}
      </label>
      <span class="spring" />
      <span class="soft small">{{ caption ?? '½ garment, CF → CB' }}</span>
      <v-btn :icon="mdiTapeMeasure" size="x-small" variant="text" :active="measuring" aria-label="Measure between two points" title="Measure (m)" @click="measuring = !measuring; tape = []" />
      <v-btn :icon="mdiMagnifyMinusOutline" size="x-small" variant="text" aria-label="Further away" @click="zoom(0.8)" />
      <v-btn :icon="mdiMagnifyPlusOutline" size="x-small" variant="text" aria-label="Nearer" @click="zoom(1.25)" />
      <v-btn :icon="mdiFitToPageOutline" size="x-small" variant="text" aria-label="All of it" @click="fitAll" />
    </div>
    <div ref="box" class="paper" :class="{ measuring }" @pointerdown="onDown" @pointermove="onMove" @pointerup="dragged = undefined" @pointerleave="pointer = undefined" @wheel.prevent="(event) => zoom(event.deltaY < 0 ? 1.12 : 0.89, at(event))">
      <svg :width="size.width" :height="size.height" role="group" :aria-label="`Half garment, ${panels.length} panels from centre front to centre back`">
        <defs>
          <pattern id="dots" patternUnits="userSpaceOnUse" :width="grid * 5 * view.scale" :height="grid * 5 * view.scale" :patternTransform="`translate(${view.x} ${view.y})`">
            <template v-for="i in 5" :key="i">
              <circle v-for="j in 5" :key="j" :cx="(i - 1) * grid * view.scale" :cy="(j - 1) * grid * view.scale" r="1" fill="var(--dot)" />
            </template>
            <path d="M-4 0H4M0 -4V4" stroke="var(--dot)" />
            <path :d="`M${grid * 5 * view.scale - 4} 0h4M0 ${grid * 5 * view.scale - 4}v4`" stroke="var(--dot)" />
          </pattern>
          <pattern id="hatch-in" patternUnits="userSpaceOnUse" width="5" height="5" patternTransform="rotate(45)"><path d="M0 0V5" stroke="var(--takein)" stroke-width="2" /></pattern>
          <pattern id="hatch-out" patternUnits="userSpaceOnUse" width="5" height="5" patternTransform="rotate(-45)"><path d="M0 0V5" stroke="var(--letout)" stroke-width="2" /></pattern>
        </defs>
        <rect :x="RAIL" width="100%" height="100%" fill="url(#dots)" />
        <line :x1="RAIL" :x2="size.width" :y1="sz(0)" :y2="sz(0)" class="waistline" />
        <g v-for="level in levels" :key="level.name"><line :x1="RAIL" :x2="size.width" :y1="level.true" :y2="level.true" class="levelline" /></g>

        <template v-if="next && has('Next version')">
          <path v-for="(panel, i) in next" :key="`next ${i}`" :d="line(i, panel.outline, true)" class="next" />
        </template>
        <template v-if="behind && behind.length === panels.length">
          <path v-for="(panel, i) in behind" :key="`behind ${i}`" :d="line(i, panel.outline, true)" class="behind" />
        </template>
        <g v-for="(panel, i) in panels" :key="panel.number">
          <path :d="line(i, panel.outline, true)" class="panel" :class="{ picked: picked === `panel ${panel.number}` }" :data-panel="panel.number" @click="emit('pick', `panel ${panel.number}`)" />
          <path :d="line(i, [panel.waist[0], panel.waist[1]])" class="waist" />
          <path v-for="(tick, k) in ticksOf(panel)" :key="k" :d="line(i, tick)" class="notch" />
          <path :d="line(i, [panel.grain[0], panel.grain[1]])" class="grain" />
          <path v-for="(dart, k) in panel.darts" :key="`dart ${k}`" :d="line(i, dart, true)" class="dart" />
          <path v-if="i < panels.length - 1 && !joined.includes(panel.number)" :d="line(i, panel.cb_edge)" class="grasp" :class="{ picked: picked === `seam ${panel.number}` }" :data-seam="panel.number" @click.stop="emit('pick', `seam ${panel.number}`)" />
          <path v-if="i > 0 && !joined.includes(panel.number - 1)" :d="line(i, panel.cf_edge)" class="grasp" :class="{ picked: picked === `seam ${panel.number - 1}` }" @click.stop="emit('pick', `seam ${panel.number - 1}`)" />
          <text :x="sx(flat.offsets[i] + middle(panel))" :y="sz(highest(panel)) - 9" class="number">{{ panel.number }}</text>
        </g>
        <g v-for="piece in pieces" :key="piece.name" class="piece" @click="emit('pick', piece.name)">
          <path :d="path(piece.outline.map(([x, z]): Point => [sx(x + piece.offset[0]), sz(z + piece.offset[1])]), true)" />
          <text :x="sx(piece.middle[0])" :y="sz(piece.middle[1]) - 7">{{ piece.name }}</text>
        </g>
        <text v-if="panels.length" :x="sx(flat.offsets[0] + panels[0].waist[0][0])" :y="sz(flat.top) - 8" class="side">CF</text>
        <text v-if="lastPanel" :x="sx(flat.offsets[panels.length - 1] + lastPanel.waist[1][0])" :y="sz(flat.top) - 8" class="side end">CB</text>

        <template v-if="has('Bones')">
          <g v-for="bone in plan.bones" :key="bone.channel" class="bone" :class="[bone.material.replace(' ', '-'), { picked: picked === bone.channel, odd: odd.has(bone.channel) }]" :data-channel="bone.channel" role="button" tabindex="0" :aria-label="`Channel ${bone.channel}, ${bone.kind_label}, ${length(bone.length_mm, desk.unit, { hardware: true })}`" @click.stop="emit('pick', bone.channel)" @keydown.enter="emit('pick', bone.channel)">
            <path v-if="bone.strip_mm" :d="line(bone.panel - 1, bone.path)" class="strip" :class="bone.made.split(' ')[0]" :stroke-width="bone.strip_mm * view.scale" />
            <path :d="line(bone.panel - 1, bone.path)" class="channel" :stroke-width="bone.count * bone.channel_width_mm * view.scale" />
            <path v-for="k in bone.count" :key="k" :d="line(bone.panel - 1, aside(bone.bone_path, (k - (bone.count + 1) / 2) * bone.channel_width_mm))" class="steel" :stroke-width="Math.max(2, bone.width_mm * view.scale)" />
            <text v-if="layers[0] === 'Bones'" :x="foot[bone.channel].x" :y="foot[bone.channel].y" class="in cutto">{{ foot[bone.channel].text }}</text>
          </g>
        </template>
        <template v-if="has('Unboned')">
          <g v-for="one in tooWide" :key="one.panel" class="unboned">
            <line :x1="sx(flat.offsets[one.panel - 1] + one.from_x_mm)" :x2="sx(flat.offsets[one.panel - 1] + one.to_x_mm)" :y1="sz(one.z_mm)" :y2="sz(one.z_mm)" />
            <text :x="sx(flat.offsets[one.panel - 1] + (one.from_x_mm + one.to_x_mm) / 2)" :y="sz(one.z_mm) - 6" class="in">{{ length(one.wide_mm, desk.unit, { hardware: true, bare: true }) }}</text>
          </g>
        </template>
        <template v-if="has('Waist tape') && plan.waist_tape">
          <path v-for="(run, k) in tapeRuns" :key="k" :d="path(run)" class="waisttape" :stroke-width="Math.max(6, 25 * view.scale)" />
        </template>
        <template v-if="has('Opening') && plan.opening?.top_z_mm != null && panels.length">
          <g class="busk" :class="plan.opening.kind.replace(' ', '-')" @click.stop="emit('pick', 'opening')">
            <rect v-if="plan.opening.kind === 'busk'" :x="sx(openAt(plan.opening.top_z_mm))" :y="sz(plan.opening.top_z_mm)" :width="plan.opening.reach_mm * view.scale" :height="(plan.opening.top_z_mm - plan.opening.bottom_z_mm!) * view.scale" />
            <path v-else-if="plan.opening.reach_mm" :d="path(openRun)" class="zip" :stroke-width="Math.max(4, plan.opening.reach_mm * view.scale * 0.7)" />
            <circle v-for="(z, i) in plan.opening.marks_z_mm" :key="z" :cx="sx(openAt(z))" :cy="sz(z)" :r="picked === `stud ${i + 1}` ? 7 : 4" role="button" tabindex="0" :aria-label="`${plan.opening.kind === 'busk' ? 'Stud' : 'Hook'} ${i + 1}`" :data-stud="i + 1" @click.stop="emit('pick', `stud ${i + 1}`)" @keydown.enter="emit('pick', `stud ${i + 1}`)" />
          </g>
        </template>
        <template v-if="has('Holes') && plan.holes && lastPanel">
          <circle v-for="(z, i) in plan.holes.z_mm" :key="z" class="hole" :class="{ pair: !desk.kind?.tied && Math.abs(z) < 15, picked: picked === `row ${i + 1}` }" :cx="sx(flat.offsets[panels.length - 1] + lastPanel.cb_edge[0][0] - plan.holes.inset_mm)" :cy="sz(z)" :r="Math.max(3, 5 * view.scale)" role="button" tabindex="0" :aria-label="`Row ${i + 1}`" :data-row="i + 1" @click.stop="emit('pick', `row ${i + 1}`)" @keydown.enter="emit('pick', `row ${i + 1}`)" />
          <circle v-for="z in plan.holes.front_z_mm" :key="`front ${z}`" class="hole" :cx="sx(flat.offsets[0] + panels[0].cf_edge[0][0] + plan.holes.inset_mm)" :cy="sz(z)" :r="Math.max(3, 5 * view.scale)" />
        </template>

        <template v-if="next && has('Next version')">
          <path v-for="(strip, k) in changes" :key="`strip ${k}`" :d="line(strip.i, strip.points, true)" :class="strip.kind === 'let out' ? 'out' : 'inn'" />
          <g v-for="badge in badges" :key="badge.seam + badge.kind" class="badge" :class="badge.kind === 'let out' ? 'letout' : 'takein'" :data-mark="`${badge.seam} ${badge.kind}`">
            <rect :x="badge.x - badge.half" :y="badge.y - 12" :width="2 * badge.half" height="24" rx="3" />
            <path :d="badge.kind === 'let out' ? `M${badge.x - badge.half + 8} ${badge.y}l7 -5v10zM${badge.x - badge.half + 27} ${badge.y}l-7 -5v10z` : `M${badge.x - badge.half + 18} ${badge.y}l-8 -5v10zM${badge.x - badge.half + 20} ${badge.y}l8 -5v10z`" fill="currentColor" />
            <text :x="badge.x + 13" :y="badge.y + 5" text-anchor="middle">{{ badge.text }}</text>
          </g>
        </template>

        <g v-if="tape.length" class="tape">
          <circle v-for="(spot, i) in tape" :key="i" :cx="sx(spot[0])" :cy="sz(spot[1])" r="4" />
          <template v-if="tape.length === 2">
            <line :x1="sx(tape[0][0])" :y1="sz(tape[0][1])" :x2="sx(tape[1][0])" :y2="sz(tape[1][1])" />
            <text :x="sx((tape[0][0] + tape[1][0]) / 2)" :y="sz((tape[0][1] + tape[1][1]) / 2) - 8" class="in">{{ tapeText }}</text>
          </template>
        </g>

        <rect width="152" height="100%" class="railbed" />
        <g v-for="tick in ticks" :key="tick.y" class="tick">
          <line :x1="RAIL" :x2="RAIL - (tick.long ? 13 : 7)" :y1="tick.y" :y2="tick.y" />
          <text v-if="tick.text" :x="RAIL - 17" :y="tick.y + 4">{{ tick.text }}</text>
        </g>
        <line :x1="RAIL" :x2="RAIL" y1="0" :y2="size.height" class="rail" />
        <g v-for="level in levels" :key="`label ${level.name}`" class="level" :class="{ picked: picked === `level ${level.name}` }" :role="pickLevels ? 'button' : undefined" :tabindex="pickLevels ? 0 : undefined" :data-level="level.name" @click="pickLevels && emit('pick', `level ${level.name}`)" @keydown.enter="pickLevels && emit('pick', `level ${level.name}`)">
          <rect v-if="pickLevels" x="4" :y="level.y - 17" width="112" height="38" rx="3" class="grip" />
          <text x="12" :y="level.y - 2" class="name">{{ level.label }}</text>
          <text x="12" :y="level.y + 15" class="in girths">{{ length(level.body_mm, desk.unit, { bare: true }) }} → {{ length(level.closed_mm, desk.unit, { bare: true }) }}</text>
        </g>
        <text x="12" y="20" class="railhead">body → sewn, {{ desk.unit }}</text>
        <g v-if="pressure" class="pressure">
          <path :d="pressure.area" class="fill" /><path :d="pressure.edge" class="edge" />
          <line :x1="pressure.x" :x2="pressure.x" :y1="pressure.low" :y2="pressure.high" class="limit" />
          <text :x="RAIL + 4" :y="pressure.high - 8">pressure</text>
        </g>
        <slot name="inside" :sx="sx" :sz="sz" :scale="view.scale" :offsets="flat.offsets" :rail="RAIL" />
        <g v-if="hovered !== undefined" class="hover">
          <line :x1="RAIL - 13" :x2="size.width" :y1="sz(hovered)" :y2="sz(hovered)" />
          <text :x="size.width - 8" :y="sz(hovered) - 5" text-anchor="end" class="in">{{ length(Math.abs(hovered), desk.unit) }} {{ hovered >= 0 ? 'above' : 'below' }} the {{ plan.pattern?.zero ?? 'waist' }}</text>
        </g>
      </svg>
      <slot name="over" />
    </div>
    <div v-if="$slots.foot" class="foot"><slot name="foot" /></div>
  </div>
</template>

<style scoped>
.surface { display: grid; grid-template-rows: 40px minmax(0, 1fr) auto; height: 100%; min-width: 0; }
.legend { display: flex; align-items: center; gap: 14px; padding: 0 8px 0 14px; border-bottom: 1px solid var(--line); white-space: nowrap; overflow: hidden; }
.legend .spring { flex: 1; }
.toggle { display: inline-flex; gap: 5px; align-items: center; cursor: pointer; }
.toggle input { accent-color: var(--ink); width: 15px; height: 15px; }
.paper { position: relative; overflow: hidden; min-height: 0; cursor: grab; touch-action: none; }
.paper.measuring { cursor: crosshair; }
svg { display: block; position: absolute; inset: 0; font-family: inherit; fill: var(--ink); user-select: none; }
.foot { border-top: 1px solid var(--line); padding: 10px 14px; overflow: auto; max-height: 272px; background: var(--paper); }
.railbed { fill: var(--paper); } .rail { stroke: var(--ink); stroke-width: 1.5; }
.railhead { font-size: 12.5px; fill: var(--steel); }
.tick line { stroke: var(--steel); } .tick text { text-anchor: end; font-size: 12.5px; fill: var(--steel); }
.grip { fill: transparent; cursor: pointer; } .level:hover .grip { fill: var(--bench); } .level.picked .grip { fill: var(--marked); } .level text { pointer-events: none; }
.level .name { font-size: 15.5px; font-weight: 600; } .level .girths { font-size: 14.5px; fill: var(--steel); }
.waistline { stroke: var(--steel); stroke-width: 1; } .levelline { stroke: var(--dot); stroke-dasharray: 1 5; }
.panel { fill: var(--paper); fill-opacity: 0.6; stroke: var(--ink); stroke-width: 1.6; stroke-linejoin: round; }
.panel.picked { fill: var(--marked); }
.waist { stroke: var(--ink); stroke-width: 1.6; fill: none; pointer-events: none; }
.notch { stroke: var(--ink); stroke-width: 1; pointer-events: none; } .grain { stroke: var(--dot); stroke-width: 1; pointer-events: none; }
.dart { fill: var(--bench); stroke: var(--ink); stroke-width: 1; stroke-dasharray: 4 2; pointer-events: none; }
.grasp { fill: none; stroke: transparent; stroke-width: 11; cursor: pointer; } .grasp:hover { stroke: var(--letout); stroke-opacity: 0.16; } .grasp.picked { stroke: var(--marked); stroke-opacity: 0.9; stroke-width: 7; }
.piece path { fill: var(--paper); fill-opacity: 0.6; stroke: var(--ink); stroke-width: 1.4; } .piece text { text-anchor: middle; font-size: 13.5px; fill: var(--steel); }
.number { text-anchor: middle; font-size: 21px; font-weight: 500; fill: var(--steel); pointer-events: none; }
.side { font-size: 13px; fill: var(--steel); } .side.end { text-anchor: end; }
.next { fill: none; stroke: var(--settled); stroke-width: 1.4; stroke-dasharray: 6 4; pointer-events: none; }
.behind { fill: none; stroke: var(--steel); stroke-width: 1.6; stroke-dasharray: 3 3; pointer-events: none; }
.out { fill: url(#hatch-out); stroke: var(--letout); stroke-width: 0.8; pointer-events: none; }
.inn { fill: url(#hatch-in); stroke: var(--takein); stroke-width: 0.8; pointer-events: none; }
.badge rect { fill: var(--paper); stroke: currentColor; stroke-width: 1.2; } .badge text { fill: currentColor; font-size: 14px; font-weight: 600; }
.bone { cursor: pointer; } .bone path { fill: none; }
.channel { stroke: var(--steel); stroke-opacity: 0.13; } .steel { stroke: var(--steel); stroke-linecap: round; stroke-opacity: 0.62; }
.cutto { text-anchor: middle; font-size: 13.5px; font-weight: 650; fill: var(--ink); paint-order: stroke; stroke: var(--paper); stroke-width: 3px; }
.bone.spiral-steel .steel { stroke-dasharray: 2.5 1.5; stroke-linecap: butt; }
.bone.synthetic-whalebone .steel, .bone.nylon .steel, .bone.plastic .steel { stroke: var(--metal); stroke-opacity: 0.75; } .bone.woven .steel { stroke: var(--metal); stroke-dasharray: 1 2; stroke-linecap: butt; }
.strip { stroke: var(--ink); stroke-opacity: 0.07; } .strip.outside { stroke-opacity: 0.16; } .bone:focus { outline: none; } .bone:focus .channel { stroke: var(--letout); stroke-opacity: 0.28; } .bone.odd .channel { stroke: var(--caution); stroke-opacity: 0.35; }
.unboned line { stroke: var(--caution); stroke-width: 2; stroke-dasharray: 5 3; } .unboned text { text-anchor: middle; font-size: 13.5px; font-weight: 650; fill: var(--caution); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; } .unboned { pointer-events: none; }
.waisttape { fill: none; stroke: var(--ink); stroke-opacity: 0.13; pointer-events: none; } .zip { fill: none; stroke: var(--metal); stroke-dasharray: 1.5 2.5; } .busk circle, .hole { cursor: pointer; } .busk circle:focus, .hole:focus { outline: none; stroke: var(--letout); stroke-width: 3; } .hole.picked { fill: var(--letout); fill-opacity: 0.35; }
.bone.picked .steel { stroke: var(--letout); stroke-opacity: 1; } .bone.picked .channel { stroke: var(--letout); stroke-opacity: 0.3; }
.busk rect { fill: var(--steel); fill-opacity: 0.35; stroke: var(--steel); } .busk circle { fill: var(--metal); }
.hole { fill: none; stroke: var(--metal); stroke-width: 2.4; } .hole.pair { fill: var(--metal); fill-opacity: 0.3; }
.tape circle { fill: var(--letout); } .tape line { stroke: var(--letout); stroke-width: 1.5; } .tape text { text-anchor: middle; font-weight: 600; fill: var(--letout); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.pressure .fill { fill: var(--metal); fill-opacity: 0.22; } .pressure .edge { fill: none; stroke: var(--metal); stroke-width: 1.6; }
.pressure .limit { stroke: var(--takein); stroke-dasharray: 4 3; } .pressure text { font-size: 12.5px; fill: var(--metal); }
.hover line { stroke: var(--letout); stroke-width: 0.8; } .hover text { font-size: 13px; fill: var(--letout); paint-order: stroke; stroke: var(--paper); stroke-width: 4px; }
.hover { pointer-events: none; }
</style>
