<script setup lang="ts">
import { computed } from 'vue'
import type { Section } from '../api/types'
import { useSettings } from '../stores/settings'
import { hardware } from './words'

// A section to scale, outside of the garment above. Each sort of ply is named once, beside it.
const props = defineProps<{ section: Section; width?: number }>()
const settings = useSettings()
const left = computed(() => Math.min(...props.section.parts.map((part) => part.x_mm)))
const top = computed(() => Math.min(0, ...props.section.parts.map((part) => part.y_mm)))
const bottom = computed(() => Math.max(...props.section.parts.map((part) => part.y_mm + part.height_mm)))
const scale = computed(() => ((props.width ?? 292) - 84) / props.section.width_mm)
const plies = computed(() =>
  props.section.parts.filter((part) =>
    ['overlay', 'fashion', 'interlining', 'strength', 'lining', 'tape'].includes(part.what),
  ),
)
/** Names stand beside their ply, and apart from each other. */
const names = computed(() => {
  let last = -Infinity
  return plies.value.map((part) => {
    const true_y = (part.y_mm + part.height_mm / 2 - top.value) * scale.value
    last = Math.max(true_y + 4, last + 13)
    return { label: part.label, y: last, true_y }
  })
})
const high = computed(
  () => Math.max((bottom.value - top.value) * scale.value, ...names.value.map((name) => name.y)) + 4,
)
const x = (mm: number) => (mm - left.value) * scale.value
const y = (mm: number) => (mm - top.value) * scale.value
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 -2 ${width ?? 292} ${high + 20}`"
      :width="width ?? 292"
      :height="high + 20"
      role="img"
      :aria-label="`${section.title}, to scale`"
    >
      <g v-for="(part, i) in section.parts" :key="i">
        <line
          v-if="part.what === 'stitch'"
          :x1="x(part.x_mm)"
          :x2="x(part.x_mm)"
          :y1="y(0) - 1"
          :y2="y(part.height_mm) + 1"
          class="stitch"
        />
        <rect
          v-else
          :x="x(part.x_mm)"
          :y="y(part.y_mm)"
          :width="part.width_mm * scale"
          :height="Math.max(1, part.height_mm * scale)"
          :class="part.what"
          :rx="part.what === 'bone' ? 1 : 0"
        />
      </g>
      <g v-for="name in names" :key="name.y" class="name">
        <line
          :x1="section.width_mm * scale + 2"
          :x2="section.width_mm * scale + 8"
          :y1="name.true_y"
          :y2="name.y - 4"
        />
        <text :x="section.width_mm * scale + 10" :y="name.y">{{ name.label }}</text>
      </g>
      <path :d="`M0 ${high + 6}v5h${10 * scale}v-5`" class="rule" />
      <text :x="10 * scale + 6" :y="high + 14" class="in scale">{{ hardware(10, settings.unit) }}</text>
    </svg>
    <figcaption class="soft small">{{ section.title }}, to scale</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 6px 0;
}
svg {
  display: block;
  max-width: 100%;
}
@media (max-width: 899px) {
  figure {
    overflow-x: auto;
  }
  svg {
    max-width: none;
  }
}
.overlay {
  fill: var(--ply-overlay);
  fill-opacity: 0.5;
}
.fashion {
  fill: var(--ply-fashion);
  fill-opacity: 0.5;
}
.interlining {
  fill: var(--ply-interlining);
  fill-opacity: 0.5;
}
.strength {
  fill: var(--ply-strength);
  fill-opacity: 0.5;
}
.lining {
  fill: var(--ply-lining);
  fill-opacity: 0.5;
}
.tape {
  fill: var(--ink);
  fill-opacity: 0.3;
}
.bone {
  fill: var(--ink);
}
.flange {
  fill: var(--metal);
}
.hole {
  fill: var(--paper);
}
.stitch {
  stroke: var(--takein);
  stroke-width: 1.3;
  stroke-dasharray: 2 1.5;
}
.name text,
.scale {
  font-size: 12.5px;
  fill: var(--ink);
}
.name line {
  stroke: var(--steel);
  stroke-width: 0.7;
}
.rule {
  fill: none;
  stroke: var(--ink);
}
</style>
