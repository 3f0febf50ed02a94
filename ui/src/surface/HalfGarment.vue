<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel, Plan } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { placing, provideSurface } from './context'
import type { layOut } from './flat'
import BonesLayer from './layers/BonesLayer.vue'
import ChangesLayer from './layers/ChangesLayer.vue'
import HolesLayer from './layers/HolesLayer.vue'
import OpeningLayer from './layers/OpeningLayer.vue'
import PlyLayer from './layers/PlyLayer.vue'
import PanelsLayer, { type PlacedPiece } from './layers/PanelsLayer.vue'
import TrimsLayer from './layers/TrimsLayer.vue'
import UnbonedLayer from './layers/UnbonedLayer.vue'
import WaistTapeLayer from './layers/WaistTapeLayer.vue'

// One half of the garment on the paper, with everything that lies on it.
const props = defineProps<{
  plan: Plan
  half: 'right' | 'left'
  mirrored?: boolean
  panels: LaidPanel[]
  flat: ReturnType<typeof layOut>
  next?: LaidPanel[]
  behind?: LaidPanel[]
  pieces: PlacedPiece[]
  picked?: string
  lengths: boolean
  has: (layer: string) => boolean
  scale: number
  sx: (x: number) => number
  sz: (z: number) => number
}>()
const emit = defineEmits<{ pick: [key: string] }>()
const openBuild = useOpenBuild()
const flat = computed(() => props.flat)
const sx = (x: number) => props.sx(x)
const sz = (z: number) => props.sz(z)
const { place, line } = placing(flat, sx, sz)
const left = computed(() => (props.half === 'left' ? props.plan.left : undefined))
provideSurface({
  plan: computed(() => props.plan),
  panels: computed(() => props.panels),
  bones: computed(() => (left.value ? left.value.bones : props.plan.bones)),
  unboned: computed(() => (left.value ? left.value.unboned : props.plan.unboned)),
  half: computed(() => props.half),
  mirrored: computed(() => props.mirrored),
  flat,
  scale: computed(() => props.scale),
  picked: computed(() => props.picked),
  pick: (key) => emit('pick', key),
  sx,
  sz,
  place,
  line,
})
const opens = computed(() => {
  const opening = props.plan.opening
  return opening?.top_z_mm != null && (!opening.half || opening.half === 'both' || opening.half === props.half)
})
</script>

<template>
  <g :data-half="half">
    <template v-if="next">
      <path v-for="(panel, i) in next" :key="`next ${i}`" :d="line(i, panel.outline, true)" class="next" />
    </template>
    <PanelsLayer :behind="behind" :pieces="pieces" />
    <PlyLayer v-if="has('Ply') && panels.length" />
    <BonesLayer v-if="has('Bones')" :lengths="lengths" />
    <UnbonedLayer v-if="has('Unboned')" />
    <WaistTapeLayer
      v-if="has('Waist tape') && plan.waist_tape"
      :from-cf="plan.waist_tape[half].from_cf_mm"
      :to-cf="plan.waist_tape[half].to_cf_mm"
    />
    <OpeningLayer v-if="has('Opening') && opens && plan.opening && panels.length" :opening="plan.opening" />
    <HolesLayer v-if="has('Holes') && plan.holes && panels.length" :holes="plan.holes" :pair="!openBuild.kind.tied" />
    <TrimsLayer v-if="has('Trims') && plan.trims && panels.length" />
    <ChangesLayer v-if="next" :next="next" />
  </g>
</template>

<style scoped>
.next {
  fill: none;
  stroke: var(--settled);
  stroke-width: 1.4;
  stroke-dasharray: 6 4;
  pointer-events: none;
}
</style>
