<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDesk } from '../../desk'
import FindingsList from '../../table/FindingsList.vue'
import TheSlip from '../../table/TheSlip.vue'
import WorkSurface from '../../table/WorkSurface.vue'
import { hardware, length } from '../../words'
import MeasureFirst from '../MeasureFirst.vue'

const desk = useDesk()
const plan = computed(() => desk.plan!)
const on = ref(['Busk', 'Bones'])
const busk = computed(() => plan.value.busk)
const seam = computed(() => busk.value?.intervals?.[busk.value.intervals.length - 1]?.to_mm ?? 0)
const mm = (value: number) => hardware(value, desk.unit)
const bare = (value: number) => length(value, desk.unit, { hardware: true, bare: true })
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page">
    <WorkSurface v-model:on="on" :plan="plan" :layers="['Busk', 'Bones']">
      <template v-if="busk?.intervals?.length" #foot>
        <h2 class="striphead">Loop side, from the top of CF down: sew and leave</h2>
        <svg viewBox="-6 0 772 64" class="strip" role="img" aria-label="Loop side, sew and leave">
          <g v-for="(part, i) in busk.intervals" :key="i">
            <line :x1="(part.from_mm / seam) * 760" :x2="(part.to_mm / seam) * 760" y1="22" y2="22" :class="part.kind" />
            <text :x="((part.from_mm + part.to_mm) / 2 / seam) * 760" y="44" class="in" :class="part.kind">{{ mm(part.to_mm - part.from_mm).replace(/ \w+$/, '') }}</text>
          </g>
          <circle v-for="stud in busk.studs_mm" :key="stud" :cx="(stud / seam) * 760" cy="22" r="5" />
          <path :d="`M${((plan.busk!.waist_from_top_mm! + (busk.studs_mm![0] - 20 > 0 ? busk.studs_mm![0] - 20 : 0)) / seam) * 760} 4v12`" class="waist" />
        </svg>
      </template>
    </WorkSurface>
    <TheSlip :title="busk?.length_mm ? `A busk of ${mm(busk.length_mm)}` : 'No busk'" :under="busk?.reason">
      <v-btn-toggle :model-value="desk.build!.front!.opening" class="wide" aria-label="Front" @update:model-value="(value: string) => desk.set('front.opening', value)">
        <v-btn value="busk">split busk</v-btn><v-btn value="none">no opening</v-btn>
      </v-btn-toggle>
      <p class="caution first">A busk is not an emergency exit. In an emergency the laces are cut: blunt-nosed shears within reach, and someone near who knows.</p>
      <FindingsList :stages="['front']" />
      <template v-if="plan.getting_in"><h2>Getting in</h2><p>{{ plan.getting_in.sentence }}</p></template>
      <template v-if="busk?.length_mm">
        <p>The waist falls {{ mm(busk.waist_from_top_mm!) }} below the busk's top end.</p>
        <h2>Loop side, from the top stitch line down</h2>
        <table class="numbers" aria-label="Sew and leave">
          <thead><tr><th>do</th><th class="n">from, {{ desk.unit === 'in' ? 'in' : 'mm' }}</th><th class="n">to</th><th class="n">long</th></tr></thead>
          <tbody>
            <tr v-for="(part, i) in busk.intervals" :key="i" :class="part.kind"><td>{{ part.kind === 'sew' ? 'sew' : 'leave for the loop' }}</td><td class="n in">{{ bare(part.from_mm) }}</td><td class="n in">{{ bare(part.to_mm) }}</td><td class="n in">{{ bare(part.to_mm - part.from_mm) }}</td></tr>
          </tbody>
        </table>
        <h2>Knob side</h2>
        <p>Holes with the awl, between the threads, at <span class="in">{{ busk.studs_mm!.map(mm).join(', ') }}</span> from the top.</p>
        <p class="caution">The busk goes in before the panels are joined. Wear eye protection when sewing beside it: needles break.</p>
      </template>
    </TheSlip>
  </div>
</template>

<style scoped>
.page { display: grid; grid-template-columns: minmax(0, 1fr) 336px; min-height: 0; height: 100%; }
h2 { margin: 14px 0 2px; } p { margin: 4px 0; } .wide { width: 100%; } .wide :deep(.v-btn) { flex: 1; }
.caution { border-left: 4px solid var(--caution); padding-left: 10px; margin: 12px 0; } tr.leave td { color: var(--metal); font-weight: 600; }
.striphead { margin: 0 0 4px; font-size: 0.95rem; } .strip { width: 100%; height: 64px; }
.strip line.sew { stroke: var(--ink); stroke-width: 5; stroke-dasharray: 7 3; } .strip line.leave { stroke: var(--metal); stroke-width: 2; }
.strip text { text-anchor: middle; font-size: 14px; fill: var(--ink); } .strip text.leave { fill: var(--metal); } .strip circle { fill: var(--metal); } .waist { stroke: var(--steel); stroke-width: 2; }
</style>
