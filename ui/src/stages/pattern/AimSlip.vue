<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import FindingsList from '../../parts/FindingsList.vue'
import LengthField from '../../parts/LengthField.vue'
import MovedNumber from '../../parts/MovedNumber.vue'
import type { LevelName } from '../../api/types'
import { hardware, length, LEVEL_LABELS } from '../../parts/words'
import { entriesOf } from '../../parts/entries'

// What the garment does, how many panels it has, where it ends.
const emit = defineEmits<{ start: [from: 'typed' | 'traced' | 'refit'] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const build = computed(() => openBuild.build)
const plan = computed(() => openBuild.plan)
const kind = computed(() => openBuild.kind)
const zero = computed(() => openBuild.pattern.zero)
const neck = computed(() => kind.value.tied)
const target = computed(() => build.value.target)
const percent = ref('')
watch(
  () => target.value.reduction_percent,
  (value) => (percent.value = String(value)),
  { immediate: true },
)
// how much less than her own, worn: of the version that is shown, as the other girths here
const less = computed(() =>
  zeroLevel.value ? zeroLevel.value.body_mm - (zeroLevel.value.squeezed_mm ?? zeroLevel.value.body_mm) : 0,
)
const zeroLevel = computed(() =>
  plan.value.levels.find((level) => level.name === plan.value.body?.levels.find((level) => level.side_mm === 0)?.name),
)
// room at bust and hip as a number: below zero it is squeezed
const roomy = computed(() =>
  neck.value
    ? []
    : plan.value.levels.filter((level) => ['bust', 'high_hip', 'hip'].includes(level.name) && level.worn_mm != null),
)
const counts = computed(() => {
  const [least, , most] = kind.value.panels
  const now = build.value.draft.panels
  return Array.from({ length: Math.max(most, now) - Math.min(least, now) + 1 }, (_, i) => Math.min(least, now) + i)
})
const byHand = computed(() => entriesOf(target.value.shares))
const guarded = computed(() =>
  Object.fromEntries(Object.entries(openBuild.errors).filter(([at]) => at.startsWith('target.shares'))),
)
const EDGES = [
  ['cf_mm', 'CF'],
  ['side_mm', 'side'],
  ['cb_mm', 'CB'],
] as const
const seams = computed(() => plan.value.seams)
const worst = computed(() => Math.max(0, ...seams.value.map((seam) => Math.abs(seam.cf_side_mm - seam.cb_side_mm))))
const eased = computed(() =>
  seams.value.filter((seam) => Math.abs(seam.put_in_top_mm) + Math.abs(seam.put_in_hem_mm) > 0.3),
)
const show = (mm: number) => length(mm, settings.unit)
</script>

<template>
  <div>
    <fieldset>
      <legend>{{ neck ? 'Round the neck' : 'At the waist' }}</legend>
      <p v-if="neck" class="neck">
        Never tight: two fingers must slide under it everywhere, nothing presses on the throat or under the ears, and it
        opens fast. Not for anyone with neck or airway trouble.
      </p>
      <v-btn-toggle
        v-else
        :model-value="target.job === 'reduction' ? 'reduction_share' : target.job"
        aria-label="At the waist"
        class="wide"
        @update:model-value="
          (job: string) =>
            openBuild.edit([
              { at: 'target.job', value: job },
              ...(job === 'closed_waist' && !target.closed_waist_mm && plan.aim
                ? [{ at: 'target.closed_waist_mm', value: plan.aim.closed_waist_mm }]
                : []),
            ])
        "
      >
        <v-btn value="none">supports</v-btn>
        <v-btn value="reduction_share">reduces</v-btn>
        <v-btn value="closed_waist">closed waist</v-btn>
      </v-btn-toggle>
      <div v-if="target.job === 'reduction' || target.job === 'reduction_share'" class="row">
        <div class="percent">
          <label for="percent">by, of the waist</label>
          <span class="box"
            ><input
              id="percent"
              v-model="percent"
              inputmode="decimal"
              :class="{ idle: target.job === 'reduction' }"
              @change="
                openBuild.edit([
                  { at: 'target.job', value: 'reduction_share' },
                  { at: 'target.reduction_percent', value: percent },
                ])
              "
            /><span>%</span></span
          >
        </div>
        <LengthField
          at="target.reduction_mm"
          :mm="target.job === 'reduction' ? target.reduction_mm : (plan.aim?.reduction_mm ?? null)"
          label="or by"
          :also="[{ at: 'target.job', value: 'reduction' }]"
        />
      </div>
      <p v-if="openBuild.errors['target.reduction_percent']" class="said" role="alert">
        {{ openBuild.errors['target.reduction_percent'] }}
      </p>
      <div v-if="target.job === 'closed_waist'" class="row">
        <LengthField at="target.closed_waist_mm" :mm="target.closed_waist_mm" label="closed" />
      </div>
      <div class="row">
        <LengthField at="target.gap_mm" :mm="target.gap_mm" label="gap wanted" hardware />
        <LengthField
          v-if="neck"
          at="target.ease_mm"
          :mm="target.ease_mm"
          label="room inside, round"
          hardware
          :placeholder="String(build.practice.neck_ease_mm)"
        />
        <div v-else>
          <span id="pull-label" class="label">laced</span>
          <v-btn-toggle
            :model-value="target.pull"
            aria-labelledby="pull-label"
            @update:model-value="(pull: string) => openBuild.set('target.pull', pull)"
          >
            <v-btn value="light" size="small">light</v-btn><v-btn value="close" size="small">close</v-btn
            ><v-btn value="firm" size="small">firm</v-btn>
          </v-btn-toggle>
        </div>
      </div>
      <div v-if="roomy.length" class="row">
        <LengthField
          v-for="level in roomy"
          :key="level.name"
          :at="`target.ease_at.${level.name}`"
          :mm="target.ease_at[level.name]"
          :label="`ease at the ${level.label.toLowerCase()}`"
          :placeholder="length(level.worn_mm! - plan.final!.take_up_mm - level.body_mm, settings.unit, { bare: true })"
        />
      </div>
    </fieldset>
    <dl v-if="plan.aim && zeroLevel" class="waist">
      <div>
        <dt>natural</dt>
        <dd><MovedNumber :text="show(zeroLevel.body_mm)" /></dd>
      </div>
      <div>
        <dt>worn</dt>
        <dd><MovedNumber :text="show(zeroLevel.worn_mm ?? plan.aim.worn_waist_mm)" /></dd>
      </div>
      <div v-if="zeroLevel.closed_mm !== null">
        <dt>closed</dt>
        <dd><MovedNumber :text="show(zeroLevel.closed_mm)" /></dd>
      </div>
      <div v-if="!neck">
        <dt>less</dt>
        <dd>
          <MovedNumber :text="`${show(less)}, ${((less / zeroLevel.body_mm) * 100).toFixed(0)} %`" />
        </dd>
      </div>
    </dl>
    <FindingsList :stages="['pattern']" />
    <p v-if="byHand.length" class="small">
      Tension pulled by hand:
      <button
        v-for="[name, share] in byHand"
        :key="name"
        type="button"
        class="chip"
        :aria-label="`Usual tension at the ${name}`"
        @click="openBuild.set(`target.shares.${name}`, null)"
      >
        {{ LEVEL_LABELS[name as LevelName].toLowerCase() }} {{ Math.round(share * 100) }} % ×
      </button>
    </p>
    <p v-for="(text, at) in guarded" :key="at" class="said" role="alert">{{ text }}</p>
    <fieldset>
      <legend>Panels in each half</legend>
      <v-btn-toggle
        :model-value="build.draft.panels"
        aria-label="Panels in each half"
        @update:model-value="(n: number) => openBuild.set('draft.panels', n)"
      >
        <v-btn v-for="n in counts" :key="n" :value="n" size="small">{{ n }}</v-btn>
      </v-btn-toggle>
    </fieldset>
    <div class="starts">
      <v-menu location="bottom start">
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" variant="outlined">Start from another pattern</v-btn></template
        >
        <v-list density="compact" min-width="300" role="menu">
          <v-list-item
            role="menuitem"
            title="Type in the widths of a pattern you have"
            subtitle="off a taped or bought pattern"
            @click="emit('start', 'typed')"
          />
          <v-list-item
            role="menuitem"
            title="Trace a drawing"
            subtitle="outlines from SVG or DXF"
            @click="emit('start', 'traced')"
          />
          <v-list-item
            role="menuitem"
            title="Refit an earlier build"
            subtitle="your own pattern, to this wearer"
            @click="emit('start', 'refit')"
          />
        </v-list>
      </v-menu>
    </div>
    <fieldset v-if="kind.name === 'neck corset'">
      <label class="tick"
        ><input
          type="checkbox"
          :checked="build.draft.shoulder_pieces"
          @change="openBuild.set('draft.shoulder_pieces', ($event.target as HTMLInputElement).checked)"
        />
        With shoulder pieces</label
      >
    </fieldset>
    <fieldset>
      <label class="tick"
        ><input
          type="checkbox"
          :checked="build.draft.one_piece"
          @change="openBuild.set('draft.one_piece', ($event.target as HTMLInputElement).checked)"
        />
        One piece with darts, where the edges touch</label
      >
      <label v-if="openBuild.levels.includes('bust')" class="tick"
        ><input
          type="checkbox"
          :checked="build.draft.cups"
          @change="openBuild.set('draft.cups', ($event.target as HTMLInputElement).checked)"
        />
        Cups with underwire</label
      >
      <p v-if="openBuild.pattern.cup" class="small">
        Underwire {{ hardware(openBuild.pattern.cup.wire_diameter_mm, settings.unit) }} across and
        {{ hardware(openBuild.pattern.cup.wire_mm, settings.unit) }} long;
        {{ hardware(openBuild.pattern.cup.across_mm, settings.unit) }} over the bust point,
        {{ hardware(openBuild.pattern.cup.depth_mm, settings.unit) }} deep; ease
        {{ hardware(openBuild.pattern.cup.eased_in_mm, settings.unit) }} in along the wire.
      </p>
    </fieldset>
    <fieldset>
      <legend>Top line, above the {{ zero }}</legend>
      <div class="three">
        <LengthField
          v-for="[key, label] in EDGES"
          :key="key"
          :at="`draft.top.${key}`"
          :mm="build.draft.top[key]"
          :label="label"
          :placeholder="length(openBuild.pattern.top[key], settings.unit, { bare: true })"
        />
      </div>
    </fieldset>
    <fieldset>
      <legend>Hem, below the {{ zero }}</legend>
      <div class="three">
        <LengthField
          v-for="[key, label] in EDGES"
          :key="key"
          :at="`draft.hem.${key}`"
          :mm="build.draft.hem[key]"
          :label="label"
          :placeholder="length(-openBuild.pattern.hem[key], settings.unit, { bare: true })"
        />
      </div>
    </fieldset>
    <details>
      <summary>Seam allowances</summary>
      <div class="three">
        <LengthField
          v-for="[key, label] in [
            ['seams_mm', 'seams'],
            ['top_mm', 'top'],
            ['hem_mm', 'hem'],
            ['cf_mm', 'CF'],
            ['cb_mm', 'CB'],
          ] as const"
          :key="key"
          :at="`draft.allowances.${key}`"
          :mm="build.draft.allowances[key]"
          :label="label"
          hardware
        />
      </div>
    </details>
    <details>
      <summary>Seams trued, to {{ worst.toFixed(1) }} mm</summary>
      <table class="numbers">
        <thead>
          <tr>
            <th>seam</th>
            <th class="n">before, mm</th>
            <th class="n">after</th>
            <th class="n">in top</th>
            <th class="n">in hem</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="seam in seams" :key="seam.seam">
            <td>{{ seam.seam }}</td>
            <td class="n">{{ seam.cf_side_before_mm.toFixed(1) }} / {{ seam.cb_side_before_mm.toFixed(1) }}</td>
            <td class="n">{{ seam.cf_side_mm.toFixed(1) }}</td>
            <td class="n">{{ seam.put_in_top_mm.toFixed(1) }}</td>
            <td class="n">{{ seam.put_in_hem_mm.toFixed(1) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="eased.length" class="small soft">Half of each difference goes to either side of the seam.</p>
    </details>
  </div>
</template>

<style scoped>
.starts {
  margin: 12px 0 4px;
}
.tick {
  display: flex;
  gap: 7px;
  align-items: center;
  padding: 2px 0;
}
.tick input {
  width: 15px;
  height: 15px;
  accent-color: var(--ink);
}
.neck {
  border-left: 4px solid var(--caution);
  padding-left: 9px;
  margin: 4px 0;
  line-height: 1.28;
}
.chip {
  border: 1px solid var(--line) !important;
  border-radius: 10px;
  padding: 0 8px;
  margin-right: 4px;
  color: var(--takein);
  font: inherit;
}
fieldset {
  border: 0;
  margin: 12px 0;
  padding: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 4px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  margin-top: 8px;
  align-items: start;
}
.three {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
.wide {
  width: 100%;
}
.wide :deep(.v-btn) {
  flex: 1;
  padding: 0 6px;
}
.label,
.percent label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
  margin-bottom: 1px;
}
.percent .box {
  display: flex;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding-right: 7px;
  align-items: center;
  color: var(--steel);
}
.percent input {
  width: 100%;
  padding: 4px;
  text-align: right;
  font: inherit;
  font-size: 1.05rem;
  color: var(--ink);
  background: none;
  border: 0;
  outline: 0;
}
.percent .box:focus-within {
  border-color: var(--letout);
  box-shadow: 0 0 0 1px var(--letout);
}
.percent .idle {
  color: var(--steel);
}
.waist {
  display: grid;
  grid-template-columns: 1fr 1.25fr;
  gap: 4px 18px;
  margin: 12px 0;
  padding: 9px 12px;
  background: var(--bench);
  border-radius: 4px;
}
.waist div {
  display: flex;
  justify-content: space-between;
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
  font-weight: 600;
}
details {
  margin: 8px 0;
}
summary {
  cursor: pointer;
  font-weight: 600;
  margin-bottom: 4px;
}
.said {
  color: var(--takein);
  font-size: 0.88rem;
  margin: 2px 0 0;
}
</style>
