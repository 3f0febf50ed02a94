<script setup lang="ts">
import { ref } from 'vue'
import { useSettings } from '../stores/settings'
import { stepOf } from '../parts/words'

// Points that can be dragged or moved with the arrow keys. Says by how much, in mm on the garment.
export type Handle = {
  id: string
  x: number
  z: number
  axis: 'x' | 'z' | 'xz'
  look: 'point' | 'corner' | 'seam'
  label: string
  value: string
}
const props = defineProps<{ handles: Handle[]; sx: (x: number) => number; sz: (z: number) => number; scale: number }>()
const emit = defineEmits<{
  move: [id: string, dx: number, dz: number]
  done: [id: string, dx: number, dz: number]
  /** Taken in hand by the pointer, or by Enter: not by what only passes over it. */
  focus: [id: string]
}>()
const settings = useSettings()
const held = ref<{ id: string; x: number; y: number; dx: number; dz: number }>()
let pending: { id: string; dx: number; dz: number; timer: ReturnType<typeof setTimeout> } | undefined

function down(event: PointerEvent, handle: Handle) {
  event.stopPropagation()
  emit('focus', handle.id)
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
  held.value = { id: handle.id, x: event.clientX, y: event.clientY, dx: 0, dz: 0 }
}
function move(event: PointerEvent, handle: Handle) {
  if (held.value?.id !== handle.id) return
  event.stopPropagation()
  const step = stepOf(settings.unit)
  const snap = (mm: number) => Math.round(mm / step) * step
  const dx = handle.axis === 'z' ? 0 : snap((event.clientX - held.value.x) / props.scale)
  const dz = handle.axis === 'x' ? 0 : snap(-(event.clientY - held.value.y) / props.scale)
  if (dx === held.value.dx && dz === held.value.dz) return
  held.value = { ...held.value, dx, dz }
  emit('move', handle.id, dx, dz)
}
function up(event: PointerEvent, handle: Handle) {
  if (held.value?.id !== handle.id) return
  event.stopPropagation()
  const { dx, dz } = held.value
  held.value = undefined
  if (dx || dz) emit('done', handle.id, dx, dz)
}
/** Presses that follow each other closely are one move. */
function press(event: KeyboardEvent, handle: Handle) {
  const step = stepOf(settings.unit) * (event.shiftKey ? 5 : 1)
  const ways: Record<string, [number, number]> = {
    ArrowLeft: [-step, 0],
    ArrowRight: [step, 0],
    ArrowUp: [0, step],
    ArrowDown: [0, -step],
  }
  if (event.key === 'Enter' || event.key === ' ') {
    event.preventDefault()
    emit('focus', handle.id)
    return
  }
  const way = ways[event.key]
  if (!way || (handle.axis === 'x' && !way[0]) || (handle.axis === 'z' && !way[1])) return
  event.preventDefault()
  event.stopPropagation()
  if (pending && pending.id !== handle.id) settle()
  clearTimeout(pending?.timer)
  const dx = (pending?.dx ?? 0) + way[0]
  const dz = (pending?.dz ?? 0) + way[1]
  pending = { id: handle.id, dx, dz, timer: setTimeout(settle, 350) }
  emit('move', handle.id, dx, dz)
}
function settle() {
  if (!pending) return
  const { id, dx, dz, timer } = pending
  clearTimeout(timer)
  pending = undefined
  if (dx || dz) emit('done', id, dx, dz)
}
</script>

<template>
  <g
    v-for="handle in handles"
    :key="handle.id"
    class="handle"
    :class="handle.look"
    role="slider"
    tabindex="0"
    :data-handle="handle.id"
    :aria-label="handle.label"
    :aria-valuetext="handle.value"
    aria-valuenow="0"
    :transform="`translate(${sx(handle.x)} ${sz(handle.z)})`"
    @pointerdown="down($event, handle)"
    @pointermove="move($event, handle)"
    @pointerup="up($event, handle)"
    @keydown="press($event, handle)"
    @blur="settle"
    @click.stop
  >
    <circle r="13" class="reach" />
    <rect v-if="handle.look === 'corner'" x="-5" y="-5" width="10" height="10" transform="rotate(45)" class="mark" />
    <path v-else-if="handle.look === 'seam'" d="M-9 0l5-4v8zM9 0l-5-4v8z" class="mark" />
    <circle v-else r="5" class="mark" />
    <title>{{ handle.label }}, {{ handle.value }}</title>
  </g>
</template>

<style scoped>
.handle {
  cursor: grab;
  outline: none;
  touch-action: none;
}
.handle:active {
  cursor: grabbing;
}
/* a finger is broader than a pointer */
@media (pointer: coarse) {
  .reach {
    r: 22px;
  }
}
.reach {
  fill: transparent;
}
.mark {
  fill: var(--paper);
  stroke: var(--letout);
  stroke-width: 2;
}
.seam .mark {
  fill: var(--letout);
}
.handle:hover .mark {
  fill: var(--letout);
  fill-opacity: 0.3;
}
.handle:focus-visible .mark,
.handle:focus .mark {
  fill: var(--letout);
}
.handle:focus .reach {
  stroke: var(--letout);
  stroke-width: 1.5;
  stroke-dasharray: 3 2;
}
</style>
