<script setup lang="ts">
import { computed } from 'vue'
import { certain } from '../../parts/certain'
import { length } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { byOf, rowOf, rowsOf, wayOf, type Answers, type FittingField, type Row } from './answers'
import type { Refusals } from './refusals'

// Pinches and slashes: of which seam, by how much at the peak, from where to where, on which half.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{ field: FittingField; refusals: Refusals }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const pinches = computed(() => rowsOf(answers.value, props.field.field))
const ways = computed(() => certain(props.field.cells.amount_mm?.ways, 'pinched or slashed'))
const halves = computed(() => certain(props.field.cells.half, 'its half').words)
const seams = computed(() =>
  openBuild.pattern.panels.slice(1).map((_, i) => ({ title: `${i + 1}·${i + 2}`, value: String(i + 1) })),
)
const HALF_OF_A_NEW_ONE_MM = 40
function add() {
  const bare = (mm: number) => length(mm, settings.unit, { bare: true })
  const seam = String(Math.min(Number(rowOf(props.field).cells.seam), seams.value.length))
  pinches.value.push(
    rowOf(props.field, { seam, from_mm: bare(-HALF_OF_A_NEW_ONE_MM), to_mm: bare(HALF_OF_A_NEW_ONE_MM) }),
  )
}
const write = (pinch: Row, way: string, by: string) => (pinch.cells.amount_mm = way + by)
</script>

<template>
  <div v-for="(pinch, i) in pinches" :key="pinch.key" class="pinch">
    <select
      :value="wayOf(pinch.cells.amount_mm)"
      :aria-label="`Pinch ${i + 1}, how`"
      @change="write(pinch, ($event.target as HTMLSelectElement).value, byOf(pinch.cells.amount_mm))"
    >
      <option value="+">{{ ways.above }}</option>
      <option value="-">{{ ways.below }}</option>
    </select>
    seam
    <select v-model="pinch.cells.seam" :aria-label="`Pinch ${i + 1}, seam`">
      <option v-for="seam in seams" :key="seam.value" :value="seam.value">{{ seam.title }}</option>
    </select>
    by
    <input
      :value="byOf(pinch.cells.amount_mm)"
      class="in"
      :aria-label="`Pinch ${i + 1}, amount`"
      :aria-invalid="!!refusals.said(field.field, i)"
      @input="write(pinch, wayOf(pinch.cells.amount_mm), ($event.target as HTMLInputElement).value)"
    />
    {{ settings.smallUnit }}
    <button type="button" :aria-label="`Take out pinch ${i + 1}`" @click="pinches.splice(i, 1)">×</button>
    <span class="second"
      >from <input v-model="pinch.cells.from_mm" class="in" :aria-label="`Pinch ${i + 1}, from`" /> to
      <input v-model="pinch.cells.to_mm" class="in" :aria-label="`Pinch ${i + 1}, to`" /> {{ settings.unit }}, on
      <select v-model="pinch.cells.half" :aria-label="`Pinch ${i + 1}, half`">
        <option v-for="half in halves" :key="half.name" :value="half.name">{{ half.label }}</option>
      </select></span
    >
    <p v-if="refusals.said(field.field, i)" class="bad" role="alert">{{ refusals.said(field.field, i) }}</p>
  </div>
  <button type="button" class="add" @click="add">+ a pinch or slash</button>
</template>

<style scoped>
.pinch input.in:not(.text) {
  width: 52px;
  line-height: 1.3;
}
.pinch .second input.in:not(.text) {
  width: 66px; /* −1 5/8 */
}
.pinch .bad {
  line-height: 1.3;
}
.pinch {
  line-height: 2.2;
  border-left: 3px solid var(--line);
  padding-left: 8px;
}
.second {
  display: block;
}
</style>
