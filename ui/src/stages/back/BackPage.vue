<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import PickedThing from '../../parts/PickedThing.vue'
import SectionDrawing from '../../parts/SectionDrawing.vue'
import AtHand from '../../parts/AtHand.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { hardware, length } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import LacedBack from './LacedBack.vue'

const openBuild = useOpenBuild()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const on = ref(['Holes', 'Bones', 'Opening'])
const holes = computed(() => (laced.value ? plan.value.holes : null))
const edge = computed(() => holes.value?.edge_layout)
const half = ref<'right' | 'left' | 'both'>('right')
const opensBehind = computed(() => plan.value.opening?.line === 'CB' && plan.value.opening.top_z_mm != null)
const title = computed(() => {
  if (holes.value) return `${holes.value.z_mm.length} holes on each side`
  return (opensBehind.value && plan.value.opening?.title) || 'CB is a seam'
})
const under = computed(() => {
  if (holes.value) return counted.value
  return opensBehind.value ? 'No lace, no holes, no modesty panel: it closes edge to edge.' : 'Nothing opens behind.'
})
// a lace takes the place of what opens there
const setLaced = (now: boolean) =>
  openBuild.edit([
    ...(now && openBuild.build.front.line === 'CB' ? [{ at: 'front.line', value: 'CF' }] : []),
    { at: 'back.laced', value: now },
  ])
const outer = computed(() => plan.value.bones.find((bone) => bone.channel === 'CB outer'))
const inner = computed(() => plan.value.bones.find((bone) => bone.channel === 'CB inner'))
const picked = ref('')
const row = computed(() => Number(/^row (\d+)/.exec(picked.value)?.[1] ?? 0))
const laced = computed(() => openBuild.build.back.laced)
const bare = (value: number) => length(value, settings.unit, { hardware: true, bare: true })
const taped = computed(() => {
  const [first, second] = (plan.value.waist_tape?.cuts_mm ?? []).map((cut) => length(cut, settings.unit))
  if (!second) return `${first} in one`
  return first === second ? `${first} for each half` : `${first} right, ${second} left`
})
const mm = (value: number) => hardware(value, settings.unit)
const SCALE = 6
const x = (value: number) => 12 + value * SCALE
const counted = computed(() => {
  const { count, label, front_z_mm: front, spares } = holes.value!
  return `${count} of ${label}${front.length ? ', with those in front' : ''}, and ${spares} spare from the same lot`
})
</script>

<template>
  <MeasureFirst v-if="!plan.pattern" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      v-model:half="half"
      :plan="plan"
      :layers="[...(plan.holes ? ['Holes'] : []), 'Bones', 'Opening', 'Waist tape', 'Unboned']"
      :picked="picked"
      @pick="picked = $event"
    >
      <template v-if="holes" #foot>
        <div class="edges">
          <div class="keeps-size">
            <h2 class="head">The lacing edge from the fold inward, {{ settings.smallUnit }}</h2>
            <svg
              v-if="edge && outer && inner"
              viewBox="0 0 470 112"
              class="edge"
              role="img"
              aria-label="Lacing edge, to scale"
            >
              <rect :x="x(0)" y="20" :width="edge.needs_mm * SCALE" height="42" class="cloth" />
              <line :x1="x(0)" :x2="x(0)" y1="12" y2="70" class="fold" />
              <g
                v-for="[at, bone] in [
                  [edge.outer_mm, outer],
                  [edge.inner_mm, inner],
                ] as const"
                :key="bone.channel"
              >
                <g v-for="k in bone.count" :key="k">
                  <rect
                    :x="x(at + (k - bone.count / 2 - 1) * bone.channel_width_mm)"
                    y="20"
                    :width="bone.channel_width_mm * SCALE"
                    height="42"
                    class="channel"
                  />
                  <rect
                    :x="x(at + (k - bone.count / 2 - 0.5) * bone.channel_width_mm - bone.width_mm / 2)"
                    y="34"
                    :width="bone.width_mm * SCALE"
                    height="14"
                    class="bone"
                  />
                </g>
                <text :x="x(at)" y="84">bone {{ bare(at) }}</text>
              </g>
              <circle :cx="x(edge.holes_mm)" cy="41" :r="(holes.flange_mm / 2) * SCALE" class="flange" />
              <circle :cx="x(edge.holes_mm)" cy="41" :r="(holes.hole_mm / 2) * SCALE" class="bore" />
              <text :x="x(edge.holes_mm)" y="102">holes {{ bare(edge.holes_mm) }}</text>
              <text :x="x(0)" y="10" class="foldtext">fold</text>
              <text :x="x(edge.needs_mm)" y="102" class="end">{{ bare(edge.needs_mm) }} in all</text>
            </svg>
            <p class="soft small">
              {{
                holes.edge_carries
                  ? `Panel ${plan.pattern.panels.length} carries it.`
                  : `Panel ${plan.pattern.panels.length} is too narrow for it.`
              }}
              Fold, stitch, bone, {{ mm(holes.flange_mm) }} flange with bare cloth about it, bone.
            </p>
          </div>
          <SectionDrawing v-if="plan.sections.edge" :section="plan.sections.edge" :width="330" />
        </div>
      </template>
    </WorkSurface>
    <TheSlip :title="title" :under="under">
      <PickedThing :picked="picked" :bones="half === 'left' ? plan.left?.bones : undefined" />
      <v-btn-toggle :model-value="laced" mandatory aria-label="The back" class="closes" @update:model-value="setLaced">
        <v-btn :value="true" size="small">laced</v-btn><v-btn :value="false" size="small">not laced</v-btn>
      </v-btn-toggle>
      <FindingsList :stages="['back']" />
      <LacedBack v-if="holes && plan.lace" :row="row" />
      <template v-else>
        <p v-if="!opensBehind">
          Both halves are joined at CB. <RouterLink :to="{ name: 'front' }">What opens it</RouterLink>:
          <b>{{ plan.opening?.title }}</b>.
        </p>
        <template v-else-if="plan.opening">
          <p>{{ plan.opening.why }} <RouterLink :to="{ name: 'front' }">Where it begins and ends</RouterLink></p>
          <p>
            To buy: <b>{{ plan.opening.bought?.join('; ') }}</b>.
          </p>
        </template>
      </template>
      <AtHand stage="back" />
      <h2>Waist tape</h2>
      <template v-if="plan.waist_tape">
        <p>
          <b class="in">{{ taped }}</b>, from <span class="in">{{ mm(plan.waist_tape.right.from_cf_mm) }}</span> beside
          CF to <span class="in">{{ length(plan.waist_tape.right.to_cf_mm, settings.unit) }}</span>.
          {{ plan.waist_tape.sentence }}
        </p>
        <v-btn size="small" variant="text" @click="openBuild.set('back.waist_tape', false)">Leave it out</v-btn>
      </template>
      <v-btn
        v-else-if="!openBuild.kind.tied"
        size="small"
        variant="outlined"
        @click="openBuild.set('back.waist_tape', true)"
        >A waist tape</v-btn
      >
    </TheSlip>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 6px;
}
p {
  margin: 4px 0;
}
.closes {
  width: 100%;
  margin: 8px 0;
}
.closes :deep(.v-btn) {
  flex: 1;
}
.head {
  margin: 0 0 4px;
  font-size: 0.95rem;
}
.edges {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 330px;
  gap: 18px;
}
.edge {
  height: 112px;
  width: 470px;
  max-width: 100%;
}
@media (max-width: 899px) {
  .edges {
    grid-template-columns: minmax(0, 1fr);
  }
}
.edge text {
  text-anchor: middle;
  font-size: 13.5px;
  fill: var(--ink);
}
.edge .foldtext {
  text-anchor: start;
  fill: var(--steel);
}
.cloth {
  fill: var(--bench);
  stroke: var(--line);
}
.fold {
  stroke: var(--ink);
  stroke-width: 3;
}
.channel {
  fill: none;
  stroke: var(--steel);
  stroke-dasharray: 3 3;
}
.bone {
  fill: var(--steel);
}
.flange {
  fill: none;
  stroke: var(--metal);
  stroke-width: 3;
}
.bore {
  fill: var(--paper);
  stroke: var(--metal);
}
</style>
