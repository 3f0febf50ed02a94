<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useDesk } from '../../desk'
import FindingsList from '../../table/FindingsList.vue'
import LengthField from '../../table/LengthField.vue'
import MovedNumber from '../../table/MovedNumber.vue'
import PanelTable from '../../table/PanelTable.vue'
import TheSlip from '../../table/TheSlip.vue'
import WorkSurface from '../../table/WorkSurface.vue'
import { length } from '../../words'
import MeasureFirst from '../MeasureFirst.vue'
import TypedWidths from './TypedWidths.vue'

const desk = useDesk()
const typing = ref(false)
const on = ref(['Pressure', 'Next version'])
const build = computed(() => desk.build!)
const plan = computed(() => desk.plan!)
const target = computed(() => build.value.target!)
const percent = ref('')
watch(() => target.value.reduction_percent, (value) => (percent.value = String(value)), { immediate: true })
const version = computed(() => plan.value.pattern?.version)
const layers = computed(() => ['Pressure', ...(plan.value.proposal ? ['Next version'] : [])])
const EDGES = [['cf_mm', 'CF'], ['side_mm', 'side'], ['cb_mm', 'CB']] as const
const seams = computed(() => plan.value.seams ?? [])
const worst = computed(() => Math.max(0, ...seams.value.map((seam) => Math.abs(seam.cf_side_mm - seam.cb_side_mm))))
const eased = computed(() => seams.value.filter((seam) => Math.abs(seam.put_in_top_mm) + Math.abs(seam.put_in_hem_mm) > 0.3))
const show = (mm: number) => length(mm, desk.unit)
const under = computed(() =>
  version.value ? `Version ${version.value}, ${build.value.versions![build.value.versions!.length - 1].reason}` : 'A draft: it moves with the measures until version 1 is cut',
)
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page">
    <WorkSurface v-model:on="on" :plan="plan" :layers="layers" :next="plan.proposal && !plan.proposal.redraft ? plan.proposal.panels : undefined">
      <template #foot><PanelTable :plan="plan" /></template>
    </WorkSurface>
    <TheSlip title="What the corset does" :under="under">
      <fieldset>
        <legend>At the waist</legend>
        <v-btn-toggle :model-value="target.job === 'reduction' ? 'reduction_share' : target.job" aria-label="At the waist" class="wide" @update:model-value="(job: string) => desk.edit([{ at: 'target.job', value: job }, ...(job === 'closed_waist' && !target.closed_waist_mm ? [{ at: 'target.closed_waist_mm', value: plan.aim!.closed_waist_mm }] : [])])">
          <v-btn value="none">supports</v-btn>
          <v-btn value="reduction_share">reduces</v-btn>
          <v-btn value="closed_waist">closed waist</v-btn>
        </v-btn-toggle>
        <div v-if="target.job === 'reduction' || target.job === 'reduction_share'" class="row">
          <div class="percent">
            <label for="percent">by, of the waist</label>
            <span class="box"><input id="percent" v-model="percent" inputmode="decimal" :class="{ idle: target.job === 'reduction' }" @change="desk.edit([{ at: 'target.job', value: 'reduction_share' }, { at: 'target.reduction_percent', value: percent }])" /><span>%</span></span>
          </div>
          <LengthField at="target.reduction_mm" :mm="target.job === 'reduction' ? target.reduction_mm : plan.aim!.reduction_mm" label="or by" :also="[{ at: 'target.job', value: 'reduction' }]" />
        </div>
        <p v-if="desk.errors['target.reduction_percent']" class="said" role="alert">{{ desk.errors['target.reduction_percent'] }}</p>
        <div v-if="target.job === 'closed_waist'" class="row"><LengthField at="target.closed_waist_mm" :mm="target.closed_waist_mm" label="closed" /></div>
        <div class="row">
          <LengthField at="target.gap_mm" :mm="target.gap_mm" label="gap wanted" hardware />
          <div>
            <span id="pull-label" class="label">laced</span>
            <v-btn-toggle :model-value="target.pull" aria-labelledby="pull-label" @update:model-value="(pull: string) => desk.set('target.pull', pull)">
              <v-btn value="light" size="small">light</v-btn><v-btn value="close" size="small">close</v-btn><v-btn value="firm" size="small">firm</v-btn>
            </v-btn-toggle>
          </div>
        </div>
      </fieldset>
      <dl v-if="plan.aim" class="waist">
        <div><dt>natural</dt><dd><MovedNumber :text="show(plan.levels!.find((level) => level.name === 'waist')!.body_mm)" /></dd></div>
        <div><dt>worn</dt><dd><MovedNumber :text="show(plan.aim.worn_waist_mm)" /></dd></div>
        <div><dt>closed</dt><dd><MovedNumber :text="show(plan.aim.closed_waist_mm)" /></dd></div>
        <div><dt>less</dt><dd><MovedNumber :text="`${show(plan.aim.reduction_mm)}, ${(plan.aim.reduction_share * 100).toFixed(0)} %`" /></dd></div>
      </dl>
      <FindingsList :stages="['pattern']" />
      <fieldset>
        <legend>Panels in each half</legend>
        <v-btn-toggle :model-value="build.draft!.panels" aria-label="Panels in each half" @update:model-value="(n: number) => desk.set('draft.panels', n)">
          <v-btn v-for="n in [4, 5, 6, 7]" :key="n" :value="n" size="small">{{ n }}</v-btn>
        </v-btn-toggle>
      </fieldset>
      <p class="typed"><v-btn size="small" variant="outlined" @click="typing = true">Type in the widths of a pattern you have</v-btn></p>
      <fieldset>
        <legend>Top line, above the waist</legend>
        <div class="three"><LengthField v-for="[key, label] in EDGES" :key="key" :at="`draft.top.${key}`" :mm="build.draft!.top![key]" :label="label" :placeholder="length(plan.pattern.top[key], desk.unit, { bare: true })" /></div>
      </fieldset>
      <fieldset>
        <legend>Hem, below the waist</legend>
        <div class="three"><LengthField v-for="[key, label] in EDGES" :key="key" :at="`draft.hem.${key}`" :mm="build.draft!.hem![key]" :label="label" :placeholder="length(-plan.pattern.hem[key], desk.unit, { bare: true })" /></div>
      </fieldset>
      <details>
        <summary>Seam allowances</summary>
        <div class="three">
          <LengthField v-for="[key, label] in [['seams_mm', 'seams'], ['top_mm', 'top'], ['hem_mm', 'hem'], ['cf_mm', 'CF'], ['cb_mm', 'CB']] as const" :key="key" :at="`draft.allowances.${key}`" :mm="build.draft!.allowances![key]" :label="label" hardware />
        </div>
      </details>
      <details>
        <summary>Seams trued, to {{ worst.toFixed(1) }} mm</summary>
        <table class="numbers">
          <thead><tr><th>seam</th><th class="n">before, mm</th><th class="n">after</th><th class="n">in top</th><th class="n">in hem</th></tr></thead>
          <tbody>
            <tr v-for="seam in seams" :key="seam.seam"><td>{{ seam.seam }}</td><td class="n">{{ seam.cf_side_before_mm.toFixed(1) }} / {{ seam.cb_side_before_mm.toFixed(1) }}</td><td class="n">{{ seam.cf_side_mm.toFixed(1) }}</td><td class="n">{{ seam.put_in_top_mm.toFixed(1) }}</td><td class="n">{{ seam.put_in_hem_mm.toFixed(1) }}</td></tr>
          </tbody>
        </table>
        <p v-if="eased.length" class="small soft">Half of each difference goes to either side of the seam.</p>
      </details>
      <TypedWidths v-model="typing" />
      <template #acts><v-btn v-if="!version" color="primary" class="go" @click="desk.version('cut')">Cut version 1 for a mock-up</v-btn>
      <v-btn v-else-if="plan.proposal" color="primary" class="go" :to="{ name: 'mockups' }">See what changes for version {{ version + 1 }}</v-btn>
      <v-btn v-else color="primary" class="go" :to="{ name: 'mockups' }">To the mock-ups</v-btn></template>
    </TheSlip>
  </div>
</template>

<style scoped>
.page { display: grid; grid-template-columns: minmax(0, 1fr) 336px; min-height: 0; height: 100%; }
fieldset { border: 0; margin: 12px 0; padding: 0; } legend { font-weight: 600; padding: 0; margin-bottom: 4px; }
.row { display: grid; grid-template-columns: 1fr 1fr; gap: 10px; margin-top: 8px; align-items: start; } .three { display: grid; grid-template-columns: repeat(3, 1fr); gap: 8px; }
.wide { width: 100%; } .wide :deep(.v-btn) { flex: 1; padding: 0 6px; }
.label, .percent label { display: block; font-size: 0.85rem; color: var(--steel); margin-bottom: 1px; }
.percent .box { display: flex; border: 1px solid #8b99a5; border-radius: 3px; padding-right: 7px; align-items: center; color: var(--steel); } .percent input { width: 100%; padding: 4px; text-align: right; font: inherit; font-size: 1.05rem; color: var(--ink); background: none; border: 0; outline: 0; } .percent .box:focus-within { border-color: var(--letout); box-shadow: 0 0 0 1px var(--letout); } .percent .idle { color: var(--steel); }
.waist { display: grid; grid-template-columns: 1fr 1.25fr; gap: 4px 18px; margin: 12px 0; padding: 9px 12px; background: var(--bench); border-radius: 4px; } .waist div { display: flex; justify-content: space-between; } dt { color: var(--steel); } dd { margin: 0; font-weight: 600; }
details { margin: 8px 0; } summary { cursor: pointer; font-weight: 600; margin-bottom: 4px; }
.said { color: var(--takein); font-size: 0.88rem; margin: 2px 0 0; }
.typed { margin: 12px 0 4px; }
.go { width: 100%; }
</style>
