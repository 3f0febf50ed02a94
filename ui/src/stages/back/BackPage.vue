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
import LacingWalk from './LacingWalk.vue'

const desk = useDesk()
const plan = computed(() => desk.plan!)
const on = ref(['Holes', 'Bones'])
const holes = computed(() => plan.value.holes!)
const edge = computed(() => holes.value.edge_layout_mm)
const outer = computed(() => (plan.value.bones ?? []).find((bone) => bone.channel === 'CB outer'))
const back = computed(() => desk.build!.back!)
const PATTERNS = ['cross with pull loops', 'cross', 'spiral']
const MODESTY = [{ title: 'floating', value: 'floating' }, { title: 'sewn to one side', value: 'sewn' }, { title: 'hung on the lace', value: 'hung' }, { title: 'none', value: 'none' }]
const loops = computed(() => (back.value.pattern ? back.value.pattern === 'cross with pull loops' : !desk.kind?.tied))
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
          <circle :cx="x(edge.grommets)" cy="41" :r="(holes.flange_mm / 2) * SCALE" class="flange" /><circle :cx="x(edge.grommets)" cy="41" :r="(holes.hole_mm / 2) * SCALE" class="bore" />
          <text :x="x(edge.grommets)" y="102">grommets {{ mm(edge.grommets).replace(/ \w+$/, '') }}</text>
          <text :x="x(0)" y="10" text-anchor="start" class="foldtext">fold</text><text :x="x(edge.needs)" y="84" class="end">{{ mm(edge.needs).replace(/ \w+$/, '') }} in all</text>
        </svg>
      </template>
    </WorkSurface>
    <TheSlip :title="`${holes.count / 2} holes on each side`" :under="`${holes.count} of ${holes.label}, and ${holes.spares} spare from the same lot`">
      <div class="choices">
        <v-select label="Holes" :items="desk.catalogue?.holes" item-title="label" item-value="name" :model-value="back.holes" @update:model-value="(value: string) => desk.set('back.holes', value)" />
        <v-select label="Laced" :items="PATTERNS" :model-value="back.pattern ?? (loops ? 'cross with pull loops' : 'cross')" @update:model-value="(value: string) => desk.set('back.pattern', value)" />
      </div>
      <div class="two"><LengthField at="back.pitch_mm" :mm="desk.build!.back!.pitch_mm" label="pitch wished" hardware :placeholder="mm(holes.usual_pitch_mm).replace(/ \w+$/, '')" /></div>
      <h2>Hole by hole</h2>
      <LacingWalk v-if="plan.walk?.length" :walk="plan.walk" :heights="holes.z_mm" />
      <h2>Heights, the same on both sides</h2>
      <ol class="rows">
        <li v-for="(row, i) in holes.rows" :key="i" :class="{ pair: isPair(row.z_mm) }">
          <span class="in">{{ mm(row.z_mm) }}</span><span class="soft small">{{ isPair(row.z_mm) ? 'pull loops run out here' : i === 0 ? 'top' : i === holes.rows.length - 1 ? 'bottom' : '' }}</span><span class="n">{{ row.carries_n.toFixed(1) }} N</span>
        </li>
      </ol>
      <p class="soft">Each holds some {{ holes.holds_n }} N. Die: {{ holes.die }}. Some {{ Math.round(holes.minutes) }} minutes for all.</p>
      <h2>Lace</h2>
      <p class="big in"><MovedNumber :text="length(plan.lace.cut_mm, desk.unit)" /></p>
      <p><span class="in">{{ length(plan.lace.worn_mm, desk.unit) }}</span> worn{{ loops ? ', with both pull loops' : '' }}; <span class="in">{{ length(plan.lace.getting_in_mm, desk.unit) }}</span> opened wide to get in. Worn, <span class="in">{{ length(plan.lace.loose_when_worn_mm, desk.unit) }}</span> hang loose: tie and tuck them.</p>
      <p v-if="plan.getting_in">{{ plan.getting_in.sentence }}</p>
      <FindingsList :stages="['back']" />
      <h2>Behind the gap</h2>
      <v-select label="Modesty panel" :items="MODESTY" :model-value="back.modesty" @update:model-value="(value: string) => desk.set('back.modesty', value)" />
      <template v-if="plan.modesty">
        <p><b class="in">{{ length(plan.modesty.width_mm, desk.unit) }} × {{ length(plan.modesty.height_mm, desk.unit) }}</b>, finished. It still covers a waist of <span class="in">{{ length(plan.modesty.covers_waist_mm, desk.unit) }}</span>. {{ plan.modesty.sentence }}</p>
        <p class="soft">Bones: {{ plan.modesty.bones_along_mm.length }} of <span class="in">{{ mm(plan.modesty.bones_along_mm[0]) }}</span> along, {{ plan.modesty.bones_across_mm.length }} of <span class="in">{{ mm(plan.modesty.bones_across_mm[0]) }}</span> across.</p>
      </template>
      <h2>Waist tape</h2>
      <template v-if="plan.waist_tape">
        <p><b class="in">{{ length(plan.waist_tape.cut_mm, desk.unit) }}</b> for each half, from <span class="in">{{ mm(plan.waist_tape.from_cf_mm) }}</span> beside CF to <span class="in">{{ length(plan.waist_tape.to_cf_mm, desk.unit) }}</span>. {{ plan.waist_tape.sentence }}</p>
        <v-btn size="small" variant="text" @click="desk.set('back.waist_tape', false)">Leave it out</v-btn>
      </template>
      <v-btn v-else-if="!desk.kind?.tied" size="small" variant="outlined" @click="desk.set('back.waist_tape', true)">A waist tape</v-btn>
      <p class="caution">Eye protection when setting grommets. Set them after the last fitting, not before.</p>
    </TheSlip>
  </div>
</template>

<style scoped>
.page { display: grid; grid-template-columns: minmax(0, 1fr) 336px; min-height: 0; height: 100%; }
h2 { margin: 14px 0 6px; } p { margin: 4px 0; } .two { width: 150px; } .big { font-size: 1.7rem; font-weight: 650; margin: 0; }
.rows { list-style: none; margin: 0; padding: 0; } .choices { display: grid; gap: 10px; margin: 8px 0; } .rows .n { text-align: right; } .rows li { display: grid; grid-template-columns: 90px 1fr 56px; border-bottom: 1px solid var(--line); padding: 1px 0; } .rows li > :first-child { text-align: right; padding-right: 14px; } .rows .pair { background: var(--marked); font-weight: 600; }
.head { margin: 0 0 4px; font-size: 0.95rem; } .edge { height: 112px; width: 560px; max-width: 100%; } .edge text { text-anchor: middle; font-size: 13.5px; fill: var(--ink); } .edge .foldtext { text-anchor: start; fill: var(--steel); }
.cloth { fill: var(--bench); stroke: var(--line); } .fold { stroke: var(--ink); stroke-width: 3; } .channel { fill: none; stroke: var(--steel); stroke-dasharray: 3 3; } .bone { fill: var(--steel); } .flange { fill: none; stroke: var(--metal); stroke-width: 3; } .bore { fill: var(--paper); stroke: var(--metal); }
.caution { border-left: 4px solid var(--caution); padding-left: 10px; margin: 12px 0; }
</style>
