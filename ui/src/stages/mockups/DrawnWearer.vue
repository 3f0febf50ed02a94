<script setup lang="ts">
import { computed } from 'vue'
import type { Plan, View, Word } from '../../api/types'
import { useSettings } from '../../stores/settings'
import { SAT } from '../../parts/words'
import { touched } from '../../parts/touch'
import { certain } from '../../parts/certain'

// The wearer from the front, the side and the back, in the garment; a touch on her says what it does there.
const props = defineProps<{
  plan: Plan
  taps: { key: number; view: View; z: string; across: number; word: Word }[]
  gaps: { z: number; gap: number }[]
  pen: Word | 'gap'
}>()
const emit = defineEmits<{ tap: [view: View, zMm: number, across: number]; gap: [zMm: number] }>()
const settings = useSettings()
const VIEWS: { view: View; label: string }[] = [
  { view: 'front', label: 'Front' },
  { view: 'side', label: 'Side' },
  { view: 'back', label: 'Back' },
]
const levels = computed(() => [...(props.plan.body?.levels ?? [])].sort((a, b) => a.side_mm - b.side_mm))
const pattern = computed(() => certain(props.plan.pattern, 'the pattern'))
// half width and half depth of the ellipse with this girth
const across = (girth: number, ratio: number) => (girth / (2 * Math.PI) / Math.sqrt((ratio * ratio + 1) / 2)) * ratio
// a cubic through the levels, so that her outline has no steps
const at = (z: number, pick: (level: (typeof levels.value)[number]) => number) => {
  const list = levels.value.map((level) => ({ z: level.side_mm, v: pick(level) }))
  const last = list.length - 1
  const slope = (i: number) => {
    const [a, b] = [list[Math.max(0, i - 1)], list[Math.min(last, i + 1)]]
    return i === 0 || i === last ? ((b.v - a.v) / (b.z - a.z)) * 0.4 : (b.v - a.v) / (b.z - a.z)
  }
  if (z <= list[0].z) return list[0].v + slope(0) * (z - list[0].z) * 0.6
  if (z >= list[last].z) return list[last].v + slope(last) * (z - list[last].z) * 0.6
  const i = list.findIndex((one) => one.z > z) - 1
  const [a, b] = [list[i], list[i + 1]]
  const [h, t] = [b.z - a.z, (z - a.z) / (b.z - a.z)]
  return (
    a.v * (1 + 2 * t) * (1 - t) ** 2 +
    slope(i) * h * t * (1 - t) ** 2 +
    b.v * t * t * (3 - 2 * t) +
    slope(i + 1) * h * t * t * (t - 1)
  )
}
const half = (view: View, z: number) =>
  view === 'side'
    ? at(z, (level) => across(level.girth_mm, level.width_to_depth) / level.width_to_depth) * 1.06
    : at(z, (level) => across(level.girth_mm, level.width_to_depth))
const low = computed(() => Math.min(pattern.value.hem.cf_mm, pattern.value.hem.side_mm, pattern.value.hem.cb_mm) - 70)
const high = computed(() => Math.max(pattern.value.top.cf_mm, pattern.value.top.side_mm, pattern.value.top.cb_mm) + 70)
const wideOf = (view: View) => {
  const zs = Array.from({ length: 30 }, (_, i) => low.value + ((high.value - low.value) * i) / 29)
  return Math.max(...zs.map((z) => half(view, z))) + 9
}
const frame = (view: View) => `${-wideOf(view)} ${-high.value} ${2 * wideOf(view)} ${high.value - low.value}`
const columns = computed(() => VIEWS.map((view) => `${wideOf(view.view).toFixed(0)}fr`).join(' '))
/** Height of top line or hem across a view, u from -1 (left) to 1 (right). */
function line(view: View, end: 'top' | 'hem', u: number) {
  const edge = pattern.value[end]
  const ease = u * u
  if (view === 'side')
    return u < 0 ? edge.side_mm + (edge.cf_mm - edge.side_mm) * ease : edge.side_mm + (edge.cb_mm - edge.side_mm) * ease
  const middle = view === 'front' ? edge.cf_mm : edge.cb_mm
  return middle + (edge.side_mm - middle) * ease
}
const steps = Array.from({ length: 33 }, (_, i) => i / 16 - 1)
const join = (points: number[][]) =>
  points.map(([x, y], i) => `${i ? 'L' : 'M'}${x.toFixed(1)} ${y.toFixed(1)}`).join('')
const body = (view: View) => {
  const zs = Array.from({ length: 61 }, (_, i) => low.value + ((high.value - low.value) * i) / 60)
  return join([...zs.map((z) => [half(view, z), -z]), ...[...zs].reverse().map((z) => [-half(view, z), -z])]) + 'Z'
}
const edgeLine = (view: View, end: 'top' | 'hem') =>
  steps.map((u): [number, number] => {
    const z = line(view, end, u)
    return [u * half(view, z), -z]
  })
const sides = (view: View, sign: 1 | -1) => {
  const [a, b] = [line(view, 'hem', sign), line(view, 'top', sign)]
  return Array.from({ length: 30 }, (_, i) => {
    const z = a + ((b - a) * i) / 29
    return [sign * half(view, z), -z]
  })
}
const garment = (view: View) =>
  join([
    ...edgeLine(view, 'top'),
    ...sides(view, 1).reverse(),
    ...edgeLine(view, 'hem').reverse(),
    ...sides(view, -1),
  ]) + 'Z'
const gapAt = (z: number) => {
  const list = [...props.gaps].sort((a, b) => a.z - b.z)
  if (list.length > 1) {
    const i = list.findIndex((one) => one.z >= z)
    if (i <= 0) return list[i === 0 ? 0 : list.length - 1].gap
    const [a, b] = [list[i - 1], list[i]]
    return a.gap + ((z - a.z) / (b.z - a.z)) * (b.gap - a.gap)
  }
  const fit = certain(props.plan.mock_up, 'the mock-up')
  const i = fit.z_mm.findIndex((height) => height >= z)
  return fit.gap_mm[i < 0 ? fit.gap_mm.length - 1 : i]
}
const strip = computed(() => {
  const [a, b] = [pattern.value.hem.cb_mm, pattern.value.top.cb_mm]
  const zs = Array.from({ length: 25 }, (_, i) => a + ((b - a) * i) / 24)
  return join([...zs.map((z) => [gapAt(z) / 2, -z]), ...[...zs].reverse().map((z) => [-gapAt(z) / 2, -z])]) + 'Z'
})
const laces = computed(() => {
  const zs = (props.plan.holes?.z_mm ?? []).filter((_, i) => i % 2 === 0)
  return zs
    .slice(1)
    .map((z, i) => {
      const [upper, lower] = [gapAt(zs[i]) / 2 + 7, gapAt(z) / 2 + 7]
      return `M${-upper} ${-zs[i]}L${lower} ${-z}M${upper} ${-zs[i]}L${-lower} ${-z}`
    })
    .join('')
})
/** Where on her outline a place round her is seen, from -1 (left) to 1 (right): 0 is CF, 1 the side, 2 CB. */
const seen = (view: View, place: number) => {
  const turn = view === 'side' ? place - 1 : view === 'front' ? place : 2 - place
  return Math.abs(turn) < 0.97 ? Math.sin((turn * Math.PI) / 2) : null
}
/** The seams as they lie round her. */
const panels = (view: View) => {
  const inner = (places: readonly number[]) => places.slice(1, -1)
  const [hems, tops] = [inner(pattern.value.hem_places), inner(pattern.value.top_places)]
  return hems.flatMap((hem, k) => {
    const [low, high] = [seen(view, hem), seen(view, tops[k])]
    if (low === null || high === null) return []
    const [a, b] = [line(view, 'hem', low), line(view, 'top', high)]
    return (view === 'side' ? [1] : [1, -1]).map((sign) =>
      join(
        Array.from({ length: 20 }, (_, i) => {
          const [t, z] = [i / 19, a + ((b - a) * i) / 19]
          return [sign * (low + (high - low) * t) * half(view, z), -z]
        }),
      ),
    )
  })
}
function touch(view: View, event: MouseEvent) {
  const svg = event.currentTarget as SVGSVGElement
  const point = touched(svg, event)
  const z = Math.round(-point.y)
  if (props.pen === 'gap') {
    if (view === 'back') emit('gap', z)
    return
  }
  emit('tap', view, z, Math.min(1, Math.max(0, Math.round(((point.x / half(view, z) + 1) / 2) * 100) / 100)))
}
const zOf = (text: string) => Number(text.replace('−', '-').replace(',', '.')) * (settings.unit === 'in' ? 25.4 : 10)
const placed = (view: View) =>
  props.taps
    .filter((tap) => tap.view === view)
    .flatMap((tap) => {
      const z = zOf(tap.z)
      return Number.isFinite(z)
        ? [
            {
              ...tap,
              x: (tap.across * 2 - 1) * half(view, z),
              y: -z,
              sign: SAT.find((one) => one.word === tap.word)?.sign ?? '',
            },
          ]
        : []
    })
</script>

<template>
  <div class="views" :style="{ gridTemplateColumns: columns }">
    <figure v-for="one in VIEWS" :key="one.view">
      <figcaption>{{ one.label }}<small v-if="one.view === 'side'"> ← front</small></figcaption>
      <svg
        :viewBox="frame(one.view)"
        role="img"
        :aria-label="`${one.label} of the wearer`"
        :class="{ dead: pen === 'gap' && one.view !== 'back' }"
        @click="touch(one.view, $event)"
      >
        <path :d="body(one.view)" class="body" />
        <path :d="garment(one.view)" class="garment" />
        <path v-for="(d, i) in panels(one.view)" :key="i" :d="d" class="seam" />
        <line :x1="-wideOf(one.view)" :x2="wideOf(one.view)" y1="0" y2="0" class="waist" />
        <template v-if="one.view === 'back'">
          <path :d="strip" class="gap" />
          <path v-if="laces" :d="laces" class="lace" />
          <template v-for="row in gaps" :key="row.z">
            <line :x1="-row.gap / 2" :x2="row.gap / 2" :y1="-row.z" :y2="-row.z" class="reading" />
          </template>
        </template>
        <g v-for="tap in placed(one.view)" :key="tap.key" class="tap">
          <circle :cx="tap.x" :cy="tap.y" r="11" />
          <text :x="tap.x" :y="tap.y + 5.5" text-anchor="middle">{{ tap.sign }}</text>
        </g>
      </svg>
    </figure>
  </div>
</template>

<style scoped>
.views {
  display: grid;
  gap: 6px;
  min-height: 0;
}
figure {
  margin: 0;
  display: flex;
  flex-direction: column;
  min-height: 0;
}
figcaption {
  font-weight: 650;
  text-align: center;
}
figcaption small {
  font-weight: 400;
  color: var(--steel);
}
svg {
  flex: 1;
  min-height: 0;
  width: 100%;
  cursor: crosshair;
  touch-action: manipulation;
}
.dead {
  cursor: default;
  opacity: 0.55;
}
.body {
  fill: var(--bench);
  stroke: var(--dot);
  stroke-width: 1.5;
}
.garment {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.seam {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.4;
}
.waist {
  stroke: var(--steel);
  stroke-dasharray: 5 5;
  stroke-width: 1;
}
.gap {
  fill: var(--bench);
  stroke: var(--ink);
  stroke-width: 2;
}
.lace {
  fill: none;
  stroke: var(--metal);
  stroke-width: 2;
}
.reading {
  stroke: var(--letout);
  stroke-width: 4;
}
.tap circle {
  fill: var(--marked);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.tap text {
  font-size: 16px;
  fill: var(--ink);
  pointer-events: none;
}
</style>
