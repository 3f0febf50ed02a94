<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel } from '../../api/types'
import { perEdge, signedEdge } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useSurface } from '../context'
import { marksBySeam, strips } from '../flat'

// What differs in the next version: strips to take in or let out, and how much at each seam.
const props = defineProps<{ next: LaidPanel[] }>()
const settings = useSettings()
const { plan, panels, flat, sx, sz, line } = useSurface()

const WORTH_A_BADGE_MM = 2

const changes = computed(() =>
  props.next.length === panels.value.length
    ? panels.value.flatMap((panel, i) =>
        (
          [
            ['cf_edge', -1],
            ['cb_edge', 1],
          ] as const
        ).flatMap(([edge, outward]) =>
          strips(panel[edge], props.next[i][edge], outward).map((strip) => ({ ...strip, i })),
        ),
      )
    : [],
)
const badges = computed(() =>
  marksBySeam(
    (plan.value.proposal?.marks ?? []).filter(
      (mark) => mark.kind !== 'move' || Math.abs(mark.cf_side_mm) >= WORTH_A_BADGE_MM,
    ),
  ).map((mark) => {
    const i = Number(mark.seam.split('·')[0]) - 1
    const right = Math.max(...panels.value[i].outline.map((point) => point[0]))
    const sides = [mark.cf_side_mm, mark.cb_side_mm]
    const text =
      mark.kind === 'move'
        ? sides.map((mm) => signedEdge(mm, settings.unit)).join(' ')
        : sides.map((mm) => perEdge(mm, settings.unit)).join(' + ')
    const inside = Math.min(Math.max(mark.z_mm, flat.value.bottom + 20), flat.value.top - 20)
    const x = sx(flat.value.offsets[i] + right + 10)
    const y = sz(inside) + (i % 2 ? 13 : -13) // neighbours stand at different heights, so that none covers the next
    const left = x - Math.max(46, 19 + text.length * 3.2)
    const way = mark.cf_side_mm > 0 ? 1 : -1
    const arrows =
      mark.kind === 'move'
        ? [way > 0 ? 8 : 17, way > 0 ? 18 : 27]
            .map((at) => `M${left + at} ${y - 5}l${way * 9} 5l${-way * 9} 5z`)
            .join('')
        : mark.kind === 'let out'
          ? `M${left + 8} ${y}l7 -5v10zM${left + 27} ${y}l-7 -5v10z`
          : `M${left + 18} ${y}l-8 -5v10zM${left + 20} ${y}l8 -5v10z`
    return { ...mark, x, y, text, left, arrows }
  }),
)
</script>

<template>
  <g>
    <path
      v-for="(strip, k) in changes"
      :key="`strip ${k}`"
      :d="line(strip.i, strip.points, true)"
      :class="strip.kind === 'let out' ? 'out' : 'inn'"
    />
    <g
      v-for="badge in badges"
      :key="`${badge.seam} ${badge.kind} ${badge.z_mm}`"
      class="badge"
      :class="badge.kind === 'let out' ? 'letout' : badge.kind === 'take in' ? 'takein' : ''"
      :data-mark="`${badge.seam} ${badge.kind}`"
    >
      <rect :x="badge.left" :y="badge.y - 12" :width="2 * (badge.x - badge.left)" height="24" rx="3" />
      <path :d="badge.arrows" fill="currentColor" />
      <text :x="badge.x + 13" :y="badge.y + 5" text-anchor="middle">{{ badge.text }}</text>
    </g>
  </g>
</template>

<style scoped>
.out {
  fill: url(#hatch-out);
  stroke: var(--letout);
  stroke-width: 0.8;
  pointer-events: none;
}
.inn {
  fill: url(#hatch-in);
  stroke: var(--takein);
  stroke-width: 0.8;
  pointer-events: none;
}
.badge rect {
  fill: var(--paper);
  stroke: currentColor;
  stroke-width: 1.2;
}
.badge text {
  fill: currentColor;
  font-size: 14px;
  font-weight: 600;
}
</style>
