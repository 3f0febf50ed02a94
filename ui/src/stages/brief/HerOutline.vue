<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, ofBuild } from '../../api/client'
import type { Silhouettes } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'

// Her outline from the front and from the side: bare, with her padding, and in the garment.
const openBuild = useOpenBuild()
const seen = ref<Silhouettes | null>(null)
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision],
  async () => {
    if (openBuild.latest)
      seen.value = await answer(api.GET('/api/builds/{build_id}/silhouette', ofBuild(openBuild.latest.id))).catch(
        () => null,
      )
  },
  { immediate: true },
)
type Row = Silhouettes['bare'][number]
const KINDS = [
  { name: 'bare', word: 'bare' },
  { name: 'padded', word: 'padded' },
  { name: 'worn', word: 'in the garment' },
] as const
const kinds = computed(() =>
  KINDS.map((kind) => ({ ...kind, rows: seen.value?.[kind.name] ?? [] })).filter((kind) => kind.rows.length),
)
const outline = (rows: Row[], left: (row: Row) => number, right: (row: Row) => number) =>
  [...rows.map((row) => [left(row), -row.y_mm]), ...[...rows].reverse().map((row) => [right(row), -row.y_mm])]
    .map((point) => point.map((mm) => mm.toFixed(1)).join(','))
    .join(' ')
const front = (rows: Row[]) =>
  outline(
    rows,
    (row) => -row.half_mm,
    (row) => row.half_mm,
  )
const side = (rows: Row[]) =>
  outline(
    rows,
    (row) => -row.back_mm,
    (row) => row.front_mm,
  )
const box = computed(() => {
  const rows = kinds.value.flatMap((kind) => kind.rows)
  const half = Math.max(...rows.map((row) => row.half_mm))
  const [low, high] = [Math.min(...rows.map((row) => row.y_mm)), Math.max(...rows.map((row) => row.y_mm))]
  return { half, high, low, apart: 2.1 * half + 30 }
})
</script>

<template>
  <section v-if="kinds.length" aria-label="Her outline">
    <h2>Her outline</h2>
    <svg
      :viewBox="`${-box.half - 6} ${-box.high - 6} ${box.apart + 2 * box.half + 12} ${box.high - box.low + 12}`"
      role="img"
      aria-label="Her outline from the front and from the side"
    >
      <g v-for="kind in kinds" :key="kind.name" :class="kind.name">
        <polygon :points="front(kind.rows)" />
        <polygon :points="side(kind.rows)" :transform="`translate(${box.apart} 0)`" />
      </g>
    </svg>
    <p class="small">
      <template v-for="kind in kinds" :key="kind.name"><i :class="kind.name" /> {{ kind.word }} &nbsp; </template>
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 14px;
}
svg {
  width: 100%;
  max-height: 190px;
}
polygon {
  fill: none;
  stroke: var(--steel);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}
.bare polygon {
  fill: color-mix(in srgb, var(--dot) 30%, transparent);
  stroke: var(--dot);
}
.padded polygon {
  stroke: var(--metal);
  stroke-dasharray: 5 3;
}
.worn polygon {
  stroke: var(--letout);
  stroke-width: 2;
}
i {
  display: inline-block;
  width: 18px;
  border-top: 2px solid var(--dot);
  vertical-align: middle;
}
i.padded {
  border-top: 2px dashed var(--metal);
}
i.worn {
  border-top-color: var(--letout);
}
</style>
