<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBuild } from '../../stores/build'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import LengthField from '../../parts/LengthField.vue'
import PickedThing from '../../parts/PickedThing.vue'
import SectionDrawing from '../../parts/SectionDrawing.vue'
import MovedNumber from '../../parts/MovedNumber.vue'
import TheSlip from '../../parts/TheSlip.vue'
import WorkSurface from '../../surface/WorkSurface.vue'
import { hardware, length } from '../../parts/words'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import LacingWalk from './LacingWalk.vue'
import NamedSelect from '../../parts/NamedSelect.vue'

const open = useBuild()
const settings = useSettings()
const plan = computed(() => open.plan!)
const on = ref(['Holes', 'Bones'])
const holes = computed(() => plan.value.holes!)
const edge = computed(() => holes.value.edge_layout_mm)
const outer = computed(() => (plan.value.bones ?? []).find((bone) => bone.channel === 'CB outer'))
const inner = computed(() => (plan.value.bones ?? []).find((bone) => bone.channel === 'CB inner'))
const picked = ref('')
const row = computed(() => Number(/^row (\d+)/.exec(picked.value)?.[1] ?? 0))
const back = computed(() => open.build!.back!)
const bare = (value: number) => length(value, settings.unit, { hardware: true, bare: true })
const base = computed(() => `/api/builds/${open.latest?.id}`)
const changedRows = computed(() => plan.value.before && plan.value.before.rows !== holes.value.z_mm.length)
const margins = computed(() => {
  const { top, hem } = plan.value.pattern!
  const z = holes.value.z_mm
  return [
    ['top', 'first hole below the top', top.cb_mm - z[0]],
    ['bottom', 'last above the hem', z[z.length - 1] - hem.cb_mm],
  ] as const
})
const PATTERNS = ['cross with pull loops', 'cross', 'spiral']
const MODESTY = [
  { title: 'floating', value: 'floating' },
  { title: 'sewn to one side', value: 'sewn' },
  { title: 'hung on the lace', value: 'hung' },
  { title: 'none', value: 'none' },
]
const loops = computed(() => (back.value.pattern ? back.value.pattern === 'cross with pull loops' : !open.kind?.tied))
const isPair = (z: number) => loops.value && Math.abs(z) < 15
const mm = (value: number) => hardware(value, settings.unit)
const SCALE = 6
const x = (value: number) => 12 + value * SCALE
const size = (mm: number) => length(mm, settings.unit)
const counted = computed(() => {
  const { count, label, front_z_mm: front, spares } = holes.value!
  return `${count} of ${label}${front.length ? ', with those in front' : ''}, and ${spares} spare from the same lot`
})
</script>

<template>
  <MeasureFirst v-if="!plan.pattern || !plan.holes || !plan.lace" />
  <div v-else class="page with-slip">
    <WorkSurface
      v-model:on="on"
      :plan="plan"
      :layers="['Holes', 'Bones', 'Opening', 'Waist tape', 'Unboned']"
      :picked="picked"
      @pick="picked = $event"
    >
      <template #foot>
        <div class="edges">
          <div>
            <h2 class="head">The lacing edge from the fold inward, {{ settings.unit === 'in' ? 'in' : 'mm' }}</h2>
            <svg v-if="outer && inner" viewBox="0 0 470 112" class="edge" role="img" aria-label="Lacing edge, to scale">
              <rect :x="x(0)" y="20" :width="edge.needs * SCALE" height="42" class="cloth" />
              <line :x1="x(0)" :x2="x(0)" y1="12" y2="70" class="fold" />
              <g
                v-for="[at, bone] in [
                  [edge.outer, outer],
                  [edge.inner, inner],
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
              <circle :cx="x(edge.grommets)" cy="41" :r="(holes.flange_mm / 2) * SCALE" class="flange" />
              <circle :cx="x(edge.grommets)" cy="41" :r="(holes.hole_mm / 2) * SCALE" class="bore" />
              <text :x="x(edge.grommets)" y="102">holes {{ bare(edge.grommets) }}</text>
              <text :x="x(0)" y="10" class="foldtext">fold</text>
              <text :x="x(edge.needs)" y="102" class="end">{{ bare(edge.needs) }} in all</text>
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
          <SectionDrawing v-if="plan.sections?.edge" :section="plan.sections.edge" :width="330" />
        </div>
      </template>
    </WorkSurface>
    <TheSlip :title="`${holes.z_mm.length} holes on each side`" :under="counted">
      <PickedThing :picked="picked" />
      <div class="choices">
        <NamedSelect
          label="Holes"
          :items="settings.catalogue?.holes"
          :model-value="back.holes"
          @update:model-value="(value: string) => open.set('back.holes', value)"
        />
        <NamedSelect
          label="Lace"
          :items="settings.catalogue?.laces"
          :model-value="back.lace"
          @update:model-value="(value: string) => open.set('back.lace', value)"
        />
        <v-select
          label="Laced"
          :items="PATTERNS"
          :model-value="back.pattern ?? (loops ? 'cross with pull loops' : 'cross')"
          @update:model-value="(value: string) => open.set('back.pattern', value)"
        />
      </div>
      <div class="two">
        <LengthField
          at="back.pitch_mm"
          :mm="back.pitch_mm"
          label="pitch wished"
          hardware
          :placeholder="bare(holes.usual_pitch_mm)"
        /><LengthField
          at="back.waist_pitch_mm"
          :mm="back.waist_pitch_mm"
          label="closer at the waist"
          hardware
          placeholder="as the others"
        /><LengthField
          at="back.rows"
          :mm="back.rows"
          label="rows on each side"
          count
          :placeholder="String(holes.z_mm.length)"
        />
      </div>
      <div class="two">
        <LengthField
          v-for="[end, label, now] in margins"
          :key="end"
          :at="`back.${end}_margin_mm`"
          :mm="back[`${end}_margin_mm`]"
          :label="label"
          hardware
          :placeholder="bare(now)"
        />
      </div>
      <p v-if="changedRows" class="soft">Version {{ plan.before!.version }} had {{ plan.before!.rows }} rows.</p>
      <FindingsList :stages="['back']" />
      <h2>Hole by hole</h2>
      <LacingWalk v-if="plan.walk?.length" :walk="plan.walk" :heights="holes.z_mm" />
      <h2>Heights, the same on both sides</h2>
      <ol class="rows">
        <li v-for="(one, i) in holes.rows" :key="i" :class="{ pair: isPair(one.z_mm), picked: row === i + 1 }">
          <span class="in">{{ mm(one.z_mm) }}</span><span class="soft small">{{
            isPair(one.z_mm) ? 'pull loops run out here' : i === 0 ? 'top' : i === holes.rows.length - 1 ? 'bottom' : ''
          }}</span
          ><span class="n">{{ one.carries_n.toFixed(1) }} N</span>
        </li>
      </ol>
      <p class="soft">
        Each holds some {{ holes.holds_n }} N. Die: {{ holes.die }}. Some {{ Math.round(holes.minutes) }} minutes for
        all.
      </p>
      <h2>Lace</h2>
      <p class="big in"><MovedNumber :text="length(plan.lace.cut_mm, settings.unit)" /></p>
      <p>
        <span class="in">{{ length(plan.lace.worn_mm, settings.unit) }}</span> worn{{
          loops ? ', with both pull loops' : ''
        }}; <span class="in">{{ length(plan.lace.getting_in_mm, settings.unit) }}</span> opened wide to get in. Worn,
        <span class="in">{{ length(plan.lace.loose_when_worn_mm, settings.unit) }}</span> hang loose: tie and tuck them.
      </p>
      <p class="soft">{{ holes.lace_label }}, {{ mm(holes.lace_width_mm) }} wide: {{ holes.lace_mind }}.</p>
      <p v-if="plan.getting_in">{{ plan.getting_in.sentence }}</p>
      <v-btn size="small" variant="outlined" :href="`${base}/holes.pdf?paper=${settings.house.paper}`" download
        >Punching strip at 1:1</v-btn
      >
      <h2>Behind the gap</h2>
      <v-select
        label="Modesty panel"
        :items="MODESTY"
        :model-value="back.modesty"
        @update:model-value="(value: string) => open.set('back.modesty', value)"
      />
      <div v-if="plan.modesty" class="two">
        <LengthField
          at="back.modesty_width_mm"
          :mm="back.modesty_width_mm"
          label="as wide as"
          :placeholder="length(plan.modesty.width_mm, settings.unit, { bare: true })"
        /><LengthField
          at="back.modesty_height_mm"
          :mm="back.modesty_height_mm"
          label="as high as"
          :placeholder="length(plan.modesty.height_mm, settings.unit, { bare: true })"
        />
      </div>
      <template v-if="plan.modesty">
        <p>
          <b class="in">{{ size(plan.modesty.width_mm) }} × {{ size(plan.modesty.height_mm) }}</b
          >, finished. It still covers a waist of
          <span class="in">{{ length(plan.modesty.covers_waist_mm, settings.unit) }}</span>. {{ plan.modesty.sentence }}
        </p>
        <p class="soft">
          Bones: {{ plan.modesty.bones_along_mm.length }} of
          <span class="in">{{ mm(plan.modesty.bones_along_mm[0]) }}</span> along,
          {{ plan.modesty.bones_across_mm.length }} of
          <span class="in">{{ mm(plan.modesty.bones_across_mm[0]) }}</span> across.
        </p>
      </template>
      <h2>Waist tape</h2>
      <template v-if="plan.waist_tape">
        <p>
          <b class="in">{{ length(plan.waist_tape.cut_mm, settings.unit) }}</b> for each half, from
          <span class="in">{{ mm(plan.waist_tape.from_cf_mm) }}</span> beside CF to
          <span class="in">{{ length(plan.waist_tape.to_cf_mm, settings.unit) }}</span>. {{ plan.waist_tape.sentence }}
        </p>
        <v-btn size="small" variant="text" @click="open.set('back.waist_tape', false)">Leave it out</v-btn>
      </template>
      <v-btn v-else-if="!open.kind?.tied" size="small" variant="outlined" @click="open.set('back.waist_tape', true)"
        >A waist tape</v-btn
      >
      <p class="caution">Eye protection when setting grommets. Set them after the last fitting, not before.</p>
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
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.big {
  font-size: 1.7rem;
  font-weight: 650;
  margin: 0;
}
.rows {
  list-style: none;
  margin: 0;
  padding: 0;
}
.choices {
  display: grid;
  gap: 10px;
  margin: 8px 0;
}
.rows .n {
  text-align: right;
}
.rows li {
  display: grid;
  grid-template-columns: 90px 1fr 56px;
  border-bottom: 1px solid var(--line);
  padding: 1px 0;
}
.rows li > :first-child {
  text-align: right;
  padding-right: 14px;
}
.rows .pair {
  background: var(--marked);
  font-weight: 600;
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
.rows .picked {
  outline: 2px solid var(--letout);
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
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 12px 0;
}
</style>
