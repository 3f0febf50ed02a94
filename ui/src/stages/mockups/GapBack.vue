<script setup lang="ts">
import { computed } from 'vue'
import type { Fit } from '../../api/types'
import { useSettings } from '../../stores/settings'
import { hardware } from '../../parts/words'

// The back as drawn: the two lacing edges at true scale, as read and as expected next.
const props = defineProps<{
  readings: { z_mm: number; gap_mm: number }[]
  expected?: Fit
  next?: Pick<Fit, 'z_mm' | 'gap_mm'>
  holes: number[]
}>()
const settings = useSettings()
const span = computed(() => {
  const z = props.next?.z_mm ?? props.expected?.z_mm ?? props.readings.map((reading) => reading.z_mm)
  return { low: Math.min(...z), high: Math.max(...z) }
})
const HEIGHT = 196
const scale = computed(() => HEIGHT / (span.value.high - span.value.low))
const y = (z: number) => 16 + (span.value.high - z) * scale.value
const x = (gap: number, side: 1 | -1) => 152 + (side * gap * scale.value) / 2
const edge = (points: [number, number][], side: 1 | -1) =>
  points.map(([z, gap], i) => `${i ? 'L' : 'M'}${x(gap, side).toFixed(1)} ${y(z).toFixed(1)}`).join('')
const ofFit = (fit: Pick<Fit, 'z_mm' | 'gap_mm'>) => fit.z_mm.map((z, i): [number, number] => [z, fit.gap_mm[i]])
const read = computed(() =>
  [...props.readings]
    .sort((a, b) => a.z_mm - b.z_mm)
    .map((reading): [number, number] => [reading.z_mm, reading.gap_mm]),
)
const shownNext = computed(() => {
  const fit = props.next
  if (!fit) return []
  return [fit.z_mm.length - 1, Math.round(fit.z_mm.findIndex((z) => z >= 0)), 0].map((i) => ({
    z: fit.z_mm[i],
    gap: fit.gap_mm[i],
  }))
})
const main = computed(() => (read.value.length > 1 ? read.value : props.expected ? ofFit(props.expected) : []))
const gapAt = (z: number) => {
  const points = main.value
  const i = points.findIndex((point) => point[0] >= z)
  if (i <= 0) return points[i === 0 ? 0 : points.length - 1]?.[1] ?? 0
  const [[z0, g0], [z1, g1]] = [points[i - 1], points[i]]
  return g0 + ((z - z0) / (z1 - z0)) * (g1 - g0)
}
</script>

<template>
  <figure>
    <svg viewBox="0 0 304 228" role="img" aria-label="The back, laced">
      <path v-if="main.length" :d="edge(main, -1) + edge([...main].reverse(), 1).replace('M', 'L') + 'Z'" class="gap" />
      <line x1="20" x2="284" :y1="y(0)" :y2="y(0)" class="waist" />
      <template v-if="main.length">
        <path
          v-for="side in [-1, 1] as const"
          :key="side"
          :d="edge(main, side)"
          class="edge"
          :class="{ guess: read.length < 2 }"
        />
        <template v-for="z in holes" :key="z">
          <circle
            v-for="side in [-1, 1] as const"
            :key="side"
            :cx="x(gapAt(z), side) + side * 8"
            :cy="y(z)"
            r="3.4"
            class="hole"
          />
        </template>
      </template>
      <template v-if="next">
        <path v-for="side in [-1, 1] as const" :key="side" :d="edge(ofFit(next), side)" class="next" />
        <text
          v-for="one in shownNext"
          :key="one.z"
          x="88"
          :y="Math.min(y(one.z) + 5, 220)"
          text-anchor="end"
          class="in nexttext"
        >
          {{ hardware(one.gap, settings.unit) }} next
        </text>
      </template>
      <text v-for="reading in readings" :key="reading.z_mm" x="216" :y="y(reading.z_mm) + 5" class="in readtext">
        {{ hardware(reading.gap_mm, settings.unit) }}
      </text>
    </svg>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  background: var(--bench);
  border-radius: 4px;
}
svg {
  width: 100%;
  display: block;
}
.gap {
  fill: var(--paper);
}
.waist {
  stroke: var(--steel);
}
.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
}
.edge.guess {
  stroke-dasharray: 5 3;
  stroke: var(--steel);
}
.next {
  fill: none;
  stroke: var(--settled);
  stroke-width: 1.8;
  stroke-dasharray: 5 4;
}
.hole {
  fill: none;
  stroke: var(--metal);
  stroke-width: 1.8;
}
text {
  font-size: 13.5px;
}
.readtext {
  font-weight: 600;
  fill: var(--ink);
}
.nexttext {
  fill: var(--settled);
  font-weight: 600;
}
text {
  paint-order: stroke;
  stroke: var(--bench);
  stroke-width: 5px;
}
</style>
