<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MethodSide } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import LengthField from '../../parts/LengthField.vue'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import SectionDrawing from '../../parts/SectionDrawing.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { useKeys } from '../../parts/keys'
import { duration, thick } from '../../parts/words'
import MethodTable from './MethodTable.vue'
import PlyBox from './PlyBox.vue'
import { usePlyCommands } from '../../commands/plies'
import { valuesOf } from '../../parts/entries'

const openBuild = useOpenBuild()
const plies = usePlyCommands()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const layers = computed(() => openBuild.layers)
const on = ref(['Ply'])
const half = ref<'right' | 'left' | 'both'>('right')
const below = ref<'section' | 'methods'>('section')
const picked = ref('')
const looked = ref<MethodSide>()
const seen = computed(() => looked.value ?? layers.value.methods.find((method) => method.chosen))
const at = computed(() => Number(/^ply (\d+)/.exec(picked.value)?.[1] ?? 0) - 1)
const outward = computed(() => layers.value.plies.map((ply, i) => ({ ply, i })).reverse())
const pick = (i: number) => (picked.value = at.value === i ? '' : `ply ${i + 1}`)
const step = (by: number) => {
  const count = layers.value.plies.length
  picked.value = `ply ${(((((at.value < 0 ? (by > 0 ? -1 : 0) : at.value) + by) % count) + count) % count) + 1}`
}
useKeys([
  { keys: ', and .', does: 'the next ply in, or out', on: [','], run: () => step(-1) },
  { keys: '.', does: 'the next ply out', on: ['.'], run: () => step(1) },
  {
    keys: 's',
    does: 'in section, or the methods side by side',
    on: ['s'],
    run: () => (below.value = below.value === 'section' ? 'methods' : 'section'),
  },
])
const missing = computed(() =>
  (['lining', 'interlining', 'fashion', 'overlay'] as const).map((role) => ({
    role,
    there: layers.value.plies.some((ply) => ply.role === role),
  })),
)
const title = computed(() => {
  const count = layers.value.plies.length
  return `${count} ${count === 1 ? 'ply' : 'plies'}, ${thick(layers.value.total_mm, settings.unit)}`
})
const minutes = computed(() => valuesOf(layers.value.minutes).reduce((sum, one) => sum + one, 0))
const under = computed(() => {
  const worked = `some ${duration(minutes.value)} from cutting to the bound edge`
  return `${openBuild.build.layers.method}; ${worked}, ${Math.round(layers.value.grams)} g of cloth`
})
const channel = computed(() => {
  const bone = plan.value.bones.find((bone) => bone.place === 'seam') ?? plan.value.bones[0]
  return bone ? plan.value.sections[`${bone.kind}/${bone.made}/${bone.count}`] : undefined
})
const took = (hole: { mm: number; most_mm: number; plies: number }) =>
  `${hole.plies} plies, ${thick(hole.mm, settings.unit)} of ${thick(hole.most_mm, settings.unit)}`
</script>

<template>
  <MeasureFirst v-if="!plan.pattern || !plan.layers" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      v-model:half="half"
      :plan="plan"
      :layers="['Ply', 'Bones', 'Holes', 'Waist tape']"
      :picked="picked"
    >
      <template #foot>
        <div class="below">
          <v-btn-toggle v-model="below" mandatory density="compact" aria-label="Below the garment">
            <v-btn value="section" size="small">In section</v-btn>
            <v-btn value="methods" size="small">Methods side by side</v-btn>
          </v-btn-toggle>
          <p v-if="below === 'methods' && seen" class="small" aria-live="polite">
            {{ seen.good }} <span class="soft">{{ seen.mind }}</span>
          </p>
        </div>
        <div v-if="below === 'section'" class="sections">
          <SectionDrawing v-if="plan.sections.seam" :section="plan.sections.seam" :width="250" />
          <SectionDrawing v-if="channel" :section="channel" :width="250" />
          <SectionDrawing v-if="plan.sections.edge" :section="plan.sections.edge" :width="250" />
        </div>
        <MethodTable v-else @look="looked = $event" />
      </template>
    </WorkSurface>
    <TheSlip :title="title" :under="under">
      <FindingsList :stages="['layers']" />
      <h2>From the outside in</h2>
      <ol class="plies" aria-label="Plies from the outside in">
        <li v-for="{ ply, i } in outward" :key="i" :class="{ picked: at === i }">
          <button type="button" :aria-expanded="at === i" :data-ply-row="i" @click="pick(i)">
            <span class="swatch" :class="ply.role" aria-hidden="true" />
            <span
              ><b>{{ ply.label }}</b> <span class="soft">{{ ply.role }}</span></span
            >
            <span class="in soft">{{ thick(ply.thickness_mm, settings.unit) }}</span>
          </button>
          <PlyBox v-if="at === i" :at="i" />
        </li>
      </ol>
      <div class="more">
        <v-btn v-for="one in missing" :key="one.role" size="small" variant="text" @click="plies.put(one.role)"
          >+ {{ one.there ? 'another' : one.role === 'interlining' || one.role === 'overlay' ? 'an' : 'a' }}
          {{ one.role }}</v-btn
        >
      </div>
      <LengthField
        at="layers.worn_under_mm"
        label="Worn under it"
        :mm="openBuild.build.layers.worn_under_mm"
        hardware
      />
      <h2>Where it is thickest</h2>
      <table class="numbers">
        <tbody>
          <tr>
            <td>a seam, under the machine</td>
            <td class="n in">{{ took(layers.seam) }}</td>
          </tr>
          <tr v-if="layers.hole">
            <td>a hole, through its shank</td>
            <td class="n in">{{ took(layers.hole) }}</td>
          </tr>
          <tr>
            <td>room taken inside</td>
            <td class="n in">{{ thick(layers.take_up_mm, settings.unit) }} of girth</td>
          </tr>
        </tbody>
      </table>
      <p class="caution">
        Try heat, needle and setter on a scrap of the whole stack first. Iron and fusibles burn; needles break beside
        metal: wear eye protection.
      </p>
    </TheSlip>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.below {
  display: flex;
  gap: 14px;
  align-items: center;
  margin-bottom: 4px;
}
.below p {
  margin: 0;
  line-height: 1.2;
}
.sections {
  display: flex;
  gap: 20px;
  align-items: end;
}
@media (max-width: 899px) {
  .sections {
    flex-direction: column;
    align-items: stretch;
  }
}
.plies {
  list-style: none;
  margin: 0;
  padding: 0;
}
.plies li {
  border-bottom: 1px solid var(--line);
}
.plies li.picked {
  border-bottom-color: var(--steel);
}
.plies button {
  display: grid;
  grid-template-columns: 22px 1fr auto;
  gap: 8px;
  align-items: center;
  width: 100%;
  min-height: 34px;
  padding: 4px 2px;
  font: inherit;
  color: inherit;
  text-align: left;
}
.plies button:hover {
  background: var(--bench);
}
.picked > button {
  background: var(--marked);
}
.swatch {
  width: 20px;
  height: 14px;
  border: 1px solid var(--steel);
  background: var(--bench);
}
.swatch.overlay {
  background: color-mix(in srgb, var(--ply-overlay) 50%, var(--paper));
}
.swatch.fashion {
  background: color-mix(in srgb, var(--ply-fashion) 50%, var(--paper));
}
.swatch.interlining {
  background: color-mix(in srgb, var(--ply-interlining) 50%, var(--paper));
}
.swatch.strength {
  background: var(--ply-strength);
}
.swatch.lining {
  background: color-mix(in srgb, var(--ply-lining) 50%, var(--paper));
}
.more {
  display: flex;
  flex-wrap: wrap;
  margin: 2px -8px 10px;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 12px 0;
}
</style>
