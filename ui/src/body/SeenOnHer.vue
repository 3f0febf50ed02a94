<script setup lang="ts">
import { onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue'
import type { OnBodySeen } from '../api/types'
import { useSettings } from '../stores/settings'
import { coloursFor } from './colours'
import { BodyScene, type View } from './scene'
import type { Part } from './seen'
import { certain } from '../parts/certain'

// One garment on her, drawn in space; another laid over it as its lines only.
const props = defineProps<{
  seen?: OnBodySeen
  ghost?: OnBodySeen
  parts: readonly Part[]
  view: View
  width: number
  height: number
  moving: boolean
  label: string
}>()
const emit = defineEmits<{ drawn: []; failed: [] }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const settings = useSettings()
let scene: BodyScene | undefined
const STILL_MS = 140
let waiting = 0
let finer = 0
/** What changes is drawn quickly at first, and finely once it rests. */
function redraw(fine = false) {
  if (waiting) return
  clearTimeout(finer)
  waiting = requestAnimationFrame(() => {
    waiting = 0
    if (!scene || !props.width || !props.seen) return
    scene.draw(props.view, props.width, props.height, !fine)
    emit('drawn')
    if (!fine && !props.moving) finer = window.setTimeout(() => redraw(true), STILL_MS)
  })
}
function fill() {
  if (!scene || !props.seen) return
  const colours = coloursFor(settings.house.theme)
  scene.clear()
  scene.put(props.seen, colours)
  if (props.ghost) scene.put(props.ghost, colours, true)
  scene.show(props.parts, colours)
  redraw()
}
watch([() => props.seen, () => props.ghost, () => settings.house.theme], fill, { flush: 'post' })
watch(
  () => props.parts,
  (now) => {
    scene?.show(now, coloursFor(settings.house.theme))
    redraw()
  },
)
watch(
  () => [props.view, props.width, props.height, props.moving],
  () => redraw(),
)
onMounted(() => {
  try {
    scene = new BodyScene(certain(canvas.value, 'the canvas'))
  } catch {
    emit('failed')
  }
  fill()
})
onBeforeUnmount(() => {
  cancelAnimationFrame(waiting)
  clearTimeout(finer)
  scene?.dispose()
})
function png() {
  scene?.draw(props.view, props.width, props.height)
  return certain(canvas.value, 'the canvas').toDataURL('image/png')
}
defineExpose({ png })
</script>

<template>
  <canvas ref="canvas" role="img" :aria-label="label" data-canvas />
</template>

<style scoped>
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
</style>
