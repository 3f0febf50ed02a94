<script setup lang="ts">
import { computed } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useMaterials } from '../../stores/materials'
import { useSettings } from '../../stores/settings'
import LengthField from '../../parts/LengthField.vue'
import MovedNumber from '../../parts/MovedNumber.vue'
import NamedSelect from '../../parts/NamedSelect.vue'
import { hardware, length, run } from '../../parts/words'
import LacingWalk from './LacingWalk.vue'
import { certain } from '../../parts/certain'

// A back that is laced: holes and their rows, the lace, hole by hole, and what lies behind the gap.
const props = defineProps<{ row: number }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const materials = useMaterials()
const plan = computed(() => openBuild.plan)
const holes = computed(() => certain(plan.value.holes, 'the row of holes'))
const lace = computed(() => certain(plan.value.lace, 'the lace'))
const back = computed(() => openBuild.build.back)
const bare = (value: number) => length(value, settings.unit, { hardware: true, bare: true })
const base = computed(() => `/api/builds/${openBuild.latest?.id}`)
const changedRows = computed(() => plan.value.before && plan.value.before.rows !== holes.value.z_mm.length)
const margins = computed(() => {
  const { top, hem } = openBuild.pattern
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
const loops = computed(() =>
  back.value.pattern ? back.value.pattern === 'cross with pull loops' : !openBuild.kind.tied,
)
const isPair = (z: number) => loops.value && Math.abs(z) < 15
const mm = (value: number) => hardware(value, settings.unit)
const size = (mm: number) => length(mm, settings.unit)
</script>

<template>
  <div>
    <div class="choices">
      <NamedSelect
        label="Holes"
        :items="settings.catalogue.holes"
        :model-value="back.holes"
        @update:model-value="(value: string) => openBuild.set('back.holes', value)"
      />
      <NamedSelect
        label="Lace"
        :items="settings.catalogue.laces"
        :model-value="back.lace"
        @update:model-value="(value: string) => openBuild.set('back.lace', value)"
      />
      <v-select
        label="Laced"
        :items="PATTERNS"
        :model-value="back.pattern ?? (loops ? 'cross with pull loops' : 'cross')"
        @update:model-value="(value: string) => openBuild.set('back.pattern', value)"
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
    <p v-if="changedRows && plan.before" class="soft">
      Version {{ plan.before.version }} had {{ plan.before.rows }} rows.
    </p>
    <h2>Hole by hole</h2>
    <LacingWalk v-if="plan.walk.length" :walk="plan.walk" :heights="holes.z_mm" />
    <h2>Heights, the same on both sides</h2>
    <ol class="rows">
      <li v-for="(hole, i) in holes.rows" :key="i" :class="{ pair: isPair(hole.z_mm), picked: props.row === i + 1 }">
        <span class="in">{{ mm(hole.z_mm) }}</span><span class="soft small">{{
          isPair(hole.z_mm) ? 'pull loops run out here' : i === 0 ? 'top' : i === holes.rows.length - 1 ? 'bottom' : ''
        }}</span
        ><span class="n">{{ hole.carries_n.toFixed(1) }} N</span>
      </li>
    </ol>
    <p class="soft">
      Each holds some {{ holes.holds_n }} N. Die: {{ holes.die }}. Some {{ Math.round(holes.minutes) }} minutes for all.
    </p>
    <h2>Lace</h2>
    <p class="big in"><MovedNumber :text="run(lace.cut_mm, settings.unit)" /></p>
    <p>
      <span class="in">{{ run(lace.worn_mm, settings.unit) }}</span> worn{{ loops ? ', with both pull loops' : '' }};
      <span class="in">{{ run(lace.getting_in_mm, settings.unit) }}</span> opened wide to get in. Worn,
      <span class="in">{{ length(lace.loose_when_worn_mm, settings.unit) }}</span> hang loose: tie and tuck them.
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
      @update:model-value="(value: string) => openBuild.set('back.modesty', value)"
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
    <NamedSelect
      v-if="plan.modesty"
      label="Its bones"
      :items="materials.bones"
      :model-value="back.modesty_bone ?? plan.modesty.bone"
      @update:model-value="(value: string) => openBuild.set('back.modesty_bone', value)"
    />
    <template v-if="plan.modesty">
      <p>
        <b class="in">{{ size(plan.modesty.width_mm) }} × {{ size(plan.modesty.height_mm) }}</b
        >, finished. It still covers a waist of
        <span class="in">{{ length(plan.modesty.covers_waist_mm, settings.unit) }}</span>. {{ plan.modesty.sentence }}
      </p>
      <p class="soft">
        Bones of {{ plan.modesty.bone_label }}: {{ plan.modesty.bones_along_mm.length }} of
        <span class="in">{{ mm(plan.modesty.bones_along_mm[0]) }}</span> along,
        {{ plan.modesty.bones_across_mm.length }} of
        <span class="in">{{ mm(plan.modesty.bones_across_mm[0]) }}</span> across.
      </p>
    </template>
    <p class="caution">Eye protection when setting grommets. Set them after the last fitting, not before.</p>
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
.two + .two {
  margin-top: 8px;
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
.rows .picked {
  outline: 2px solid var(--letout);
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 12px 0;
}
</style>
