<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDesk } from '../../desk'
import FindingsList from '../../table/FindingsList.vue'
import MovedNumber from '../../table/MovedNumber.vue'
import TheSlip from '../../table/TheSlip.vue'
import WorkSurface from '../../table/WorkSurface.vue'
import { hardware, length } from '../../words'
import MeasureFirst from '../MeasureFirst.vue'

const desk = useDesk()
const plan = computed(() => desk.plan!)
const on = ref(['Bones', 'Busk'])
const picked = ref('')
const bones = computed(() => plan.value.bones ?? [])
const chosen = computed(() => bones.value.find((bone) => bone.channel === picked.value))
const choices = computed(() => desk.build!.bones!)
const total = computed(() => {
  const found = new Map<string, { label: string; count: number; mm: number }>()
  for (const bone of bones.value) {
    const one = found.get(bone.kind) ?? { label: bone.kind_label, count: 0, mm: 0 }
    found.set(bone.kind, { ...one, count: one.count + 2, mm: one.mm + 2 * bone.length_mm })
  }
  return [...found.values()]
})
const WHERE = [['lacing_edge', 'At the lacing edge'], ['seams', 'On the seams'], ['beside_busk', 'Beside the busk']] as const
const follows = (names: string[]) => (desk.catalogue?.bones ?? []).filter((kind) => names.includes(kind.name)).map((kind) => kind.label).join(', ') || 'nothing in the list'
const own = (channel: string) => choices.value.by_channel?.[channel]
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page">
    <WorkSurface v-model:on="on" :plan="plan" :layers="['Bones', 'Busk', 'Holes']" :picked="picked" @pick="picked = $event">
      <template #foot>
        <table class="numbers bones">
          <thead><tr><th>Channel</th><th v-for="bone in bones" :key="bone.channel" class="n"><button type="button" :class="{ on: picked === bone.channel }" @click="picked = bone.channel">{{ bone.channel }}</button></th></tr></thead>
          <tbody>
            <tr><td>cut the bone, {{ desk.unit === 'in' ? 'in' : 'mm' }}</td><td v-for="bone in bones" :key="bone.channel" class="n" :data-bone="bone.channel"><b><MovedNumber :text="hardware(bone.length_mm, desk.unit).replace(/ \w+$/, '')" /></b></td></tr>
            <tr><td>path, stitch line to stitch line</td><td v-for="bone in bones" :key="bone.channel" class="n in">{{ hardware(bone.path_mm, desk.unit).replace(/ \w+$/, '') }}</td></tr>
            <tr><td>channel width, stitch to stitch</td><td v-for="bone in bones" :key="bone.channel" class="n in">{{ hardware(bone.channel_width_mm, desk.unit).replace(/ \w+$/, '') }}</td></tr>
            <tr><td>tightest bend, radius, {{ desk.unit }}</td><td v-for="bone in bones" :key="bone.channel" class="n in">{{ bone.radius_mm ? length(bone.radius_mm, desk.unit, { bare: true }) : 'straight' }}</td></tr>
            <tr><td>kind</td><td v-for="bone in bones" :key="bone.channel" class="n kind">{{ bone.kind_label.replace(/ \d.*/, '') }}</td></tr>
          </tbody>
        </table>
      </template>
    </WorkSurface>
    <TheSlip :title="`${2 * bones.length} bones, both halves the same`" under="Never longer than the channel: clear of binding and seam at both ends">
      <div class="choices">
        <v-select v-for="[key, label] in WHERE" :key="key" :label="label" :items="desk.catalogue?.bones" item-title="label" item-value="name" :model-value="choices[key]" @update:model-value="(value: string) => desk.set(`bones.${key}`, value)" />
      </div>
      <section v-if="chosen" class="chosen" aria-live="polite">
        <h2>Channel {{ chosen.channel }}</h2>
        <p class="big in">{{ hardware(chosen.length_mm, desk.unit) }}</p>
        <p class="soft">{{ chosen.kind_label }}, {{ chosen.place }}; its channel is {{ hardware(chosen.path_mm, desk.unit) }} long and {{ hardware(chosen.channel_width_mm, desk.unit) }} wide.</p>
        <p v-if="chosen.radius_mm" class="soft">It bends to a radius of {{ length(chosen.radius_mm, desk.unit) }} at {{ length(chosen.tightest_z_mm, desk.unit) }}. What follows it: {{ follows(chosen.can_lie) }}.</p>
        <v-select label="Another kind just here" :items="desk.catalogue?.bones" item-title="label" item-value="name" :model-value="own(chosen.channel) ?? null" placeholder="as the others" clearable @update:model-value="(value: string | null) => desk.set(`bones.by_channel.${chosen!.channel}`, value ?? null)" />
      </section>
      <FindingsList :stages="['bones']" />
      <h2>What the edge does</h2>
      <p v-if="plan.gap_shape && plan.final" class="say">With these the gap settles <b>{{ plan.gap_shape.shape }}</b>: tilt <MovedNumber :text="hardware(Math.abs(plan.gap_shape.tilt_mm), desk.unit)" />, bow <MovedNumber :text="hardware(Math.abs(plan.gap_shape.bow_mm), desk.unit)" />. Stiffness of one edge {{ plan.final.edge_n_m2.toFixed(1) }} N·m².</p>
      <h2>To cut</h2>
      <table class="numbers">
        <tbody><tr v-for="one in total" :key="one.label"><td>{{ one.label }}</td><td class="n">{{ one.count }}</td><td class="n in">{{ desk.unit === 'in' ? `${(one.mm / 914.4).toFixed(2)} yd` : `${(one.mm / 1000).toFixed(2)} m` }} in all</td></tr></tbody>
      </table>
      <p class="caution">Wear eye protection when cutting steel; file and cap every cut end. Glue on tips and dip coats cure overnight.</p>
    </TheSlip>
  </div>
</template>

<style scoped>
.page { display: grid; grid-template-columns: minmax(0, 1fr) 336px; min-height: 0; height: 100%; }
.choices { display: grid; gap: 12px; margin: 10px 0; } h2 { margin: 14px 0 2px; } p { margin: 2px 0; }
.chosen { background: var(--bench); padding: 2px 12px 12px; border-radius: 4px; } .big { font-size: 1.7rem; font-weight: 650; }
.bones button { font: inherit; color: inherit; text-decoration: underline dotted; } .bones button.on { font-weight: 700; color: var(--letout); } .kind { font-size: 0.82rem; color: var(--steel); }
.caution { border-left: 4px solid var(--caution); padding-left: 10px; margin-top: 14px; }
</style>
