<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { ClothCut, Placed, Point } from '../../api/types'
import { across, length, stepOf } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { path } from '../../surface/flat'
import { arranged, shortName, type Drawn } from './sheets'

// The cloth as it lies on the table: scraps as they are, lengths and new cloth selvedge to selvedge with a ruler, and
// the pieces where they are cut. A picked piece is moved by hand or by arrows, and then stays.
const props = defineProps<{ sheets: Drawn[]; cloth: ClothCut; picked?: string; pinned: Set<string>; stale?: boolean }>()
const emit = defineEmits<{ pick: [key: string]; move: [sheet: string, placed: Placed, dx: number, dy: number] }>()
const settings = useSettings()
const box = useTemplateRef<HTMLElement>('box')
const size = useElementSize(box, { width: 760, height: 560 })
const LEFT = 44
const TOP = 34
const laid = computed(() => arranged(props.sheets, { width: size.width.value - 10, height: size.height.value - 14 }))
const scale = computed(() => laid.value.scale)
const step = computed(() => (settings.unit === 'in' ? 127 : 100)) // 10 cm, or 5 in
const labels = computed(() => new Map(props.cloth.pieces.map((piece) => [piece.key, piece])))
const stroke = ([mx, my]: Point, [dx, dy]: Point) => `M${mx - dx} ${my - dy}l${2 * dx} ${2 * dy}`
const moving = ref<{ id: string; dx: number; dy: number }>()
const idOf = (sheet: string, placed: Placed) => `${sheet} ${placed.key} ${placed.number}`

const drawn = computed(() =>
  props.sheets.map((sheet, i) => {
    const [left, top] = laid.value.at[i] ?? [0, 0]
    const x = (mm: number) => left + LEFT + mm * scale.value
    const y = (mm: number) => top + TOP + (sheet.wide - mm) * scale.value
    const pieces = sheet.placed.map((one) => {
      const id = idOf(sheet.key, one)
      const moved = moving.value?.id === id ? moving.value : { dx: 0, dy: 0 }
      const spots = one.outline.map(([px, py]): Point => [x(px + moved.dx), y(py + moved.dy)])
      const xs = spots.map((spot) => spot[0])
      const ys = spots.map((spot) => spot[1])
      const [l, r, t, b] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
      const piece = labels.value.get(one.key)
      const way = (one.angle_deg * Math.PI) / 180
      const reach = Math.min(r - l, 70) * 0.3
      const flat = b - t < 34
      const middle: Point = [(l + r) / 2, (t + b) / 2]
      const text = shortName(piece, one.key)
      return {
        one,
        id,
        d: path(spots, true),
        middle,
        text,
        roomy: r - l > text.length * 6.2 && b - t > 13,
        small: piece?.what !== 'panel' || text.length > 3,
        down: flat ? 5 : piece?.what !== 'panel' ? 15 : -5,
        grain: piece?.grain === 'along' && !flat ? stroke(middle, [reach * Math.cos(way), -reach * Math.sin(way)]) : '',
      }
    })
    const ticks = Array.from({ length: Math.floor(sheet.long / step.value) + 1 }, (_, k) => k * step.value)
    return {
      ...sheet,
      x,
      y,
      pieces,
      ticks: sheet.kind === 'scrap' ? [] : ticks,
      edge: path(
        sheet.outline.map(([px, py]): Point => [x(px), y(py)]),
        true,
      ),
      holes: sheet.flaws.map((flaw) =>
        path(
          flaw.map(([px, py]): Point => [x(px), y(py)]),
          true,
        ),
      ),
    }
  }),
)
const says = (sheet: Drawn) => {
  const long = { length: sheet.whole, new: sheet.reach, scrap: sheet.long }[sheet.kind]
  const size = across(long, sheet.wide, settings.unit)
  return sheet.kind === 'new' ? `to buy, ${size}` : `${sheet.name}, ${size}`
}

const named = (piece: { text: string; id: string; one: Placed }) =>
  [piece.text, piece.one.mirrored && 'face down', props.pinned.has(piece.id) && 'put there'].filter(Boolean).join(', ')

function grab(sheet: string, one: Placed, event: PointerEvent) {
  if (props.picked !== one.key) return
  const [fromX, fromY, id] = [event.clientX, event.clientY, idOf(sheet, one)]
  const by = (to: PointerEvent) => ({
    dx: (to.clientX - fromX) / scale.value,
    dy: -(to.clientY - fromY) / scale.value,
  })
  const move = (to: PointerEvent) => (moving.value = { id, ...by(to) })
  const drop = (to: PointerEvent) => {
    window.removeEventListener('pointermove', move)
    window.removeEventListener('pointerup', drop)
    const { dx, dy } = by(to)
    moving.value = undefined
    if (Math.hypot(dx, dy) > 2) emit('move', sheet, one, dx, dy)
  }
  window.addEventListener('pointermove', move)
  window.addEventListener('pointerup', drop)
  event.preventDefault()
}
let waiting: ReturnType<typeof setTimeout> | undefined
function nudge(sheet: string, one: Placed, event: KeyboardEvent) {
  const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key]
  if (!way || props.picked !== one.key) return
  event.preventDefault()
  const id = idOf(sheet, one)
  const by = stepOf(settings.unit) * (event.shiftKey ? 20 : 5)
  const now = moving.value?.id === id ? moving.value : { id, dx: 0, dy: 0 }
  moving.value = { id, dx: now.dx + way[0] * by, dy: now.dy + way[1] * by }
  clearTimeout(waiting)
  waiting = setTimeout(() => {
    const { dx, dy } = moving.value ?? { dx: 0, dy: 0 }
    moving.value = undefined
    emit('move', sheet, one, dx, dy)
  }, 700) // several presses are one move
}
</script>

<template>
  <div ref="box" class="cloth" :class="{ stale }">
    <svg
      :width="size.width.value"
      :height="size.height.value"
      role="group"
      :aria-label="`${cloth.label} on the table`"
      @click.self="emit('pick', '')"
    >
      <g v-for="sheet in drawn" :key="sheet.key" :data-sheet="sheet.key">
        <path :d="sheet.edge" class="ground" :class="sheet.kind" />
        <template v-if="sheet.kind !== 'scrap'">
          <line
            :x1="sheet.x(0)"
            :x2="sheet.x(sheet.long)"
            :y1="sheet.y(sheet.wide)"
            :y2="sheet.y(sheet.wide)"
            class="selvedge"
          />
          <line
            :x1="sheet.x(0)"
            :x2="sheet.x(sheet.long)"
            :y1="sheet.y(0)"
            :y2="sheet.y(0)"
            :class="sheet.fold ? 'fold' : 'selvedge'"
          />
          <g class="ruler">
            <g v-for="tick in sheet.ticks" :key="tick">
              <line :x1="sheet.x(tick)" :x2="sheet.x(tick)" :y1="sheet.y(sheet.wide) - 8" :y2="sheet.y(sheet.wide)" />
              <text
                v-if="tick % (step * (scale * step < 26 ? 2 : 1)) === 0"
                :x="sheet.x(tick)"
                :y="sheet.y(sheet.wide) - 12"
              >
                {{ Math.round(tick / (settings.unit === 'in' ? 25.4 : 10)) }}
              </text>
            </g>
          </g>
          <text :transform="`translate(${sheet.x(0) - 10} ${sheet.y(sheet.wide / 2)}) rotate(-90)`" class="edge">
            {{ length(sheet.wide, settings.unit) }}{{ sheet.fold ? ', on the fold' : '' }}
          </text>
        </template>
        <path v-for="(hole, i) in sheet.holes" :key="i" :d="hole" class="flaw"><title>keep clear of it</title></path>
        <g
          v-for="piece in sheet.pieces"
          :key="piece.id"
          class="piece"
          :class="{ picked: picked === piece.one.key, mirrored: piece.one.mirrored }"
          role="button"
          tabindex="0"
          :aria-label="named(piece)"
          :aria-pressed="picked === piece.one.key"
          :data-placed="piece.one.key"
          @click="emit('pick', piece.one.key)"
          @pointerdown="grab(sheet.key, piece.one, $event)"
          @keydown.enter.prevent="emit('pick', piece.one.key)"
          @keydown.space.prevent="emit('pick', piece.one.key)"
          @keydown="nudge(sheet.key, piece.one, $event)"
        >
          <path :d="piece.d" />
          <path v-if="piece.grain" class="grain" :d="piece.grain" />
          <text
            v-if="piece.roomy"
            :x="piece.middle[0]"
            :y="piece.middle[1] + piece.down"
            :class="{ small: piece.small }"
          >
            {{ piece.text }}
          </text>
          <circle v-if="pinned.has(piece.id)" :cx="piece.middle[0]" :cy="piece.middle[1] - 18" r="4" class="pin" />
        </g>
        <template v-if="sheet.kind !== 'scrap'">
          <line
            :x1="sheet.x(sheet.reach)"
            :x2="sheet.x(sheet.reach)"
            :y1="sheet.y(sheet.wide) - 4"
            :y2="sheet.y(0) + 5"
            class="end"
          />
        </template>
        <text :x="sheet.x(0)" :y="sheet.y(0) + 16" class="caption in" :class="{ buy: sheet.kind === 'new' }">
          {{ says(sheet) }}
        </text>
      </g>
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
  stroke: var(--line);
}
.ground.scrap {
  stroke: var(--steel);
  stroke-width: 1.5;
}
.ground.new {
  stroke-dasharray: 6 4;
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
.flaw {
  fill: var(--caution);
  fill-opacity: 0.25;
  stroke: var(--caution);
  stroke-dasharray: 3 2;
}
.ruler line {
  stroke: var(--steel);
}
.ruler text,
.edge,
.caption {
  font-size: 12.5px;
  fill: var(--steel);
}
.ruler text,
.edge {
  text-anchor: middle;
}
.caption.buy {
  fill: var(--letout);
  font-weight: 600;
}
.piece {
  cursor: pointer;
}
.piece.picked {
  cursor: grab;
  touch-action: none;
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
.pin {
  fill: var(--takein);
  stroke: var(--paper);
}
.end {
  stroke: var(--letout);
  stroke-width: 1.4;
}
</style>
