<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDesk } from '../../desk'
import FindingsList from '../../table/FindingsList.vue'
import LengthField from '../../table/LengthField.vue'
import MovedNumber from '../../table/MovedNumber.vue'
import TheSlip from '../../table/TheSlip.vue'
import WorkSurface from '../../table/WorkSurface.vue'
import { hardware, length } from '../../words'
import MeasureFirst from '../MeasureFirst.vue'

const desk = useDesk()
const plan = computed(() => desk.plan!)
const on = ref(['Holes', 'Bones'])
const holes = computed(() => plan.value.holes!)
const edge = computed(() => holes.value.edge_layout_mm)
const outer = computed(() => (plan.value.bones ?? []).find((bone) => bone.channel === 'CB outer'))
const loops = computed(() => !desk.kind?.tied)
const isPair = (z: number) => loops.value && Math.abs(z) < 15
const mm = (value: number) => hardware(value, desk.unit)
const SCALE = 7
const x = (value: number) => 24 + value * SCALE
</script>

<template>
  <MeasureFirst v-if="!plan.pattern || !plan.holes || !plan.lace" />
  <div v-else class="page">
    <WorkSurface v-model:on="on" :plan="plan" :layers="['Holes', 'Bones']">
      <template #foot>
        <h2 class="head">The lacing edge from the fold inward, {{ desk.unit === 'in' ? 'in' : 'mm' }}</h2>
        <svg v-if="outer" viewBox="0 0 560 112" class="edge" role="img" aria-label="Lacing edge, to scale">
          <rect :x="x(0)" y="20" :width="edge.needs * SCALE" height="42" class="cloth" />
          <line :x1="x(0)" :x2="x(0)" y1="12" y2="70" class="fold" />
          <g v-for="at in [edge.outer, edge.inner]" :key="at">
            <rect :x="x(at - outer.channel_width_mm / 2)" y="20" :width="outer.channel_width_mm * SCALE" height="42" class="channel" />
            <rect :x="x(at - outer.width_mm / 2)" y="34" :width="outer.width_mm * SCALE" height="14" class="bone" />
            <text :x="x(at)" y="84">bone {{ mm(at).replace(/ \w+$/, '') }}</text>
          </g>
          <circle :cx="x(edge.grommets)" cy="41" :r="5 * SCALE" class="flange" /><circle :cx="x(edge.grommets)" cy="41" :r="2.5 * SCALE" class="bore" />
          <text :x="x(edge.grommets)" y="102">grommets {{ mm(edge.grommets).replace(/ \w+$/, '') }}</text>
          <text :x="x(0)" y="10" text-anchor="start" class="foldtext">fold</text><text :x="x(edge.needs)" y="84" class="end">{{ mm(edge.needs).replace(/ \w+$/, '') }} in all</text>
        </svg>
      </template>
    </WorkSurface>
    <TheSlip :title="`${holes.count / 2} holes on each side`" :under="`${holes.count} of ${holes.label}, and ${holes.spares} spare from the same lot`">
      <div class="two"><LengthField at="back.pitch_mm" :mm="desk.build!.back!.pitch_mm" label="pitch wished" hardware placeholder="26" /></div>
      <h2>Heights, the same on both sides</h2>
      <ol class="rows">
        <li v-for="(z, i) in holes.z_mm" :key="i" :class="{ pair: isPair(z) }">
          <span class="in">{{ mm(z) }}</span><span class="soft small">{{ isPair(z) ? 'pull loops run out here' : i === 0 ? 'top' : i === holes.z_mm.length - 1 ? 'bottom' : '' }}</span>
        </li>
      </ol>
      <h2>Lace</h2>
      <p class="big in"><MovedNumber :text="length(plan.lace.cut_mm, desk.unit)" /></p>
      <p><span class="in">{{ length(plan.lace.worn_mm, desk.unit) }}</span> worn{{ loops ? ', with both pull loops' : '' }}; <span class="in">{{ length(plan.lace.getting_in_mm, desk.unit) }}</span> opened wide to get in. Worn, <span class="in">{{ length(plan.lace.loose_when_worn_mm, desk.unit) }}</span> hang loose: tie and tuck them.</p>
      <p v-if="plan.getting_in">{{ plan.getting_in.sentence }}</p>
      <FindingsList :stages="['back']" />
      <p class="caution">Eye protection when setting grommets. Set them after the last fitting, not before.</p>
    </TheSlip>
  </div>
</template>

<style scoped>
.page { display: grid; grid-template-columns: minmax(0, 1fr) 336px; min-height: 0; height: 100%; }
h2 { margin: 14px 0 2px; } p { margin: 4px 0; } .two { width: 150px; } .big { font-size: 1.7rem; font-weight: 650; margin: 0; }
.rows { list-style: none; margin: 0; padding: 0; } .rows li { display: grid; grid-template-columns: 90px 1fr; border-bottom: 1px solid var(--line); padding: 1px 0; } .rows li > :first-child { text-align: right; padding-right: 14px; } .rows .pair { background: var(--marked); font-weight: 600; }
.head { margin: 0 0 4px; font-size: 0.95rem; } .edge { height: 112px; width: 560px; max-width: 100%; } .edge text { text-anchor: middle; font-size: 13.5px; fill: var(--ink); } .edge .foldtext { text-anchor: start; fill: var(--steel); }
.cloth { fill: var(--bench); stroke: var(--line); } .fold { stroke: var(--ink); stroke-width: 3; } .channel { fill: none; stroke: var(--steel); stroke-dasharray: 3 3; } .bone { fill: var(--steel); } .flange { fill: none; stroke: var(--metal); stroke-width: 3; } .bore { fill: var(--paper); stroke: var(--metal); }
.caution { border-left: 4px solid var(--caution); padding-left: 10px; margin: 12px 0; }
</style>
