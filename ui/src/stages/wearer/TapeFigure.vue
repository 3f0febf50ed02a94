<script setup lang="ts">
import { computed } from 'vue'
import type { LevelName } from '../../api/types'
import { length, LEVEL_LABELS } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// A torso drawn from the girths, with the tape where the field in hand asks for it.
const props = defineProps<{
  here: LevelName
  body: Record<string, { girth_mm: number; side_mm: number; width_to_depth: number }>
  stand?: { name: string; stand_mm: number }[]
}>()
const openBuild = useOpenBuild()
const settings = useSettings()
const USUAL: Record<LevelName, { girth_mm: number; side_mm: number; width_to_depth: number }> = {
  upper_neck: { girth_mm: 340, side_mm: 70, width_to_depth: 1.1 },
  neck_base: { girth_mm: 375, side_mm: 0, width_to_depth: 1.1 },
  collarbone: { girth_mm: 490, side_mm: -40, width_to_depth: 1.5 },
  high_bust: { girth_mm: 850, side_mm: 205, width_to_depth: 1.45 },
  bust: { girth_mm: 900, side_mm: 160, width_to_depth: 1.45 },
  underbust: { girth_mm: 770, side_mm: 90, width_to_depth: 1.35 },
  ribs: { girth_mm: 740, side_mm: 55, width_to_depth: 1.35 },
  waist: { girth_mm: 700, side_mm: 0, width_to_depth: 1.35 },
  high_hip: { girth_mm: 880, side_mm: -100, width_to_depth: 1.4 },
  hip: { girth_mm: 960, side_mm: -200, width_to_depth: 1.4 },
}
const neck = computed(() => openBuild.levels.includes('neck_base'))
const how = computed(() => settings.catalogue.levels.find((level) => level.name === props.here)?.how ?? '')
const drawn = computed<LevelName[]>(() =>
  neck.value
    ? openBuild.levels
    : [
        ...(openBuild.levels.includes('bust') ? (['high_bust', 'bust'] as LevelName[]) : []),
        'underbust',
        'ribs',
        'waist',
        'high_hip',
        'hip',
      ],
)
const levels = computed(() => drawn.value.map((name) => ({ name, ...(props.body[name] ?? USUAL[name]) })))
// half width of the ellipse with this girth, as the eye sees it from the front
const half = (girth: number, ratio: number) => (girth / (2 * Math.PI) / Math.sqrt((ratio * ratio + 1) / 2)) * ratio
const rows = computed(() =>
  levels.value.map((level) => ({ ...level, x: half(level.girth_mm, level.width_to_depth), y: -level.side_mm })),
)
const outline = computed(() => {
  const first = rows.value[0]
  const last = rows.value[rows.value.length - 1]
  const right: [number, number][] = neck.value
    ? [
        [first.x * 1.35, first.y - 34],
        [first.x * 1.02, first.y - 12],
        ...rows.value.map((row): [number, number] => [row.x, row.y]),
        [last.x * 1.75, last.y + 26],
      ]
    : [
        [
          first.x * (openBuild.levels.includes('bust') ? 1.02 : 1.2),
          first.y - (openBuild.levels.includes('bust') ? 40 : 115),
        ],
        ...rows.value.map((row): [number, number] => [row.x, row.y]),
        [last.x * 0.96, last.y + 70],
      ]
  // Catmull-Rom through the points, so that the outline has no steps
  const curve = (points: [number, number][]) =>
    points
      .slice(1)
      .map((to, i) => {
        const [before, from, after] = [points[i - 1] ?? points[i], points[i], points[i + 2] ?? to]
        const out = [from[0] + (to[0] - before[0]) / 6, from[1] + (to[1] - before[1]) / 6]
        const into = [to[0] - (after[0] - from[0]) / 6, to[1] - (after[1] - from[1]) / 6]
        return `C${[...out, ...into, ...to].join(' ')}`
      })
      .join('')
  const left = right.map(([x, y]): [number, number] => [-x, y]).reverse()
  return `M${right[0][0]} ${right[0][1]}${curve(right)}L${left[0][0]} ${left[0][1]}${curve(left)}Z`
})
const standMarks = computed(() =>
  (props.stand ?? []).flatMap((level) => {
    const row = rows.value.find((row) => row.name === level.name)
    return row ? [{ name: level.name, x: half(level.stand_mm, row.width_to_depth), y: row.y }] : []
  }),
)
const tape = computed(
  () => rows.value.find((row) => row.name === props.here) ?? rows.value[Math.floor(rows.value.length / 2)],
)
const frame = computed(() =>
  neck.value ? '-110 -128 220 240' : openBuild.levels.includes('bust') ? '-190 -262 380 547' : '-190 -225 380 510',
)
</script>

<template>
  <figure>
    <svg :viewBox="frame" role="img" :aria-label="`The tape at the ${LEVEL_LABELS[here].toLowerCase()}`">
      <path :d="outline" class="body" />
      <g v-for="row in rows" :key="row.name">
        <line :x1="-row.x" :x2="row.x" :y1="row.y" :y2="row.y" class="level" />
      </g>
      <template v-if="standMarks.length">
        <polyline
          v-for="side in [-1, 1]"
          :key="side"
          :points="standMarks.map((mark) => `${side * mark.x},${mark.y}`).join(' ')"
          class="standline"
        />
      </template>
      <path
        :d="`M${-tape.x - 3} ${tape.y}C${-tape.x} ${tape.y + 26} ${tape.x} ${tape.y + 26} ${tape.x + 3} ${tape.y}`"
        class="tape"
        :class="{ fine: neck }"
      />
      <text x="0" :y="tape.y - 8" class="in" :style="neck ? 'font-size: 14px' : ''">
        {{ body[here] ? length(body[here].girth_mm, settings.unit) : '' }}
      </text>
    </svg>
    <p v-if="standMarks.length" class="small soft standkey">- - the stand</p>
    <figcaption>
      <b>{{ LEVEL_LABELS[here] }}.</b> {{ how }}
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0 0 12px;
}
svg {
  width: 100%;
  max-height: 360px;
}
.body {
  fill: var(--bench);
  stroke: var(--steel);
  stroke-width: 2;
}
.level {
  stroke: var(--dot);
  stroke-width: 1.5;
  stroke-dasharray: 3 5;
}
.standline {
  fill: none;
  stroke: var(--takein);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}
.standkey {
  margin: 0 0 4px;
}
.fine {
  stroke-width: 4 !important;
}
.tape {
  fill: none;
  stroke: var(--metal);
  stroke-width: 7;
}
text {
  text-anchor: middle;
  font-size: 24px;
  font-weight: 600;
  fill: var(--ink);
}
figcaption {
  line-height: 1.3;
}
</style>
