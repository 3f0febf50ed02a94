<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Cloth } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import LengthField from '../../parts/LengthField.vue'
import NamedSelect from '../../parts/NamedSelect.vue'
import { length, thick } from '../../parts/words'
import OwnCloth from './OwnCloth.vue'
import { usePlyCommands } from '../../commands/plies'
import { useMaterials } from '../../stores/materials'

// A ply in her hands: its cloth, how it lies, and what it comes to.
const props = defineProps<{ at: number }>()
const openBuild = useOpenBuild()
const materials = useMaterials()
const plies = usePlyCommands()
const settings = useSettings()
const path = computed(() => `layers.plies.${props.at}`)
const ply = computed(() => openBuild.build.layers.plies[props.at])
const planned = computed(() => openBuild.layers.plies[props.at])
const overlay = computed(() => openBuild.layers.overlays[props.at])
const own = ref(false)
const suited = computed(() => {
  const fit = (cloth: Cloth) => cloth.suits.includes(ply.value.role)
  const others = materials.cloths.filter((cloth) => !fit(cloth))
  return [
    ...materials.cloths.filter(fit),
    ...others.map((other) => ({ ...other, label: `${other.label} (not made for it)` })),
  ]
})
const MOUNTED = ['fused', 'flat-lined', 'floating', 'bagged']
const OVER = ['overlaid by panels', 'overlaid in one piece']
const carrying = computed(() => openBuild.build.layers.plies.findIndex((ply) => ply.role === 'strength'))
const ways = computed(() => [
  { name: null, label: `as the method has it: ${planned.value.mounted}` },
  ...[...MOUNTED, ...(props.at > carrying.value ? OVER : [])].map((name) => ({ name, label: name })),
])
const GRAINS = [
  { name: 'along', label: 'waist to hem' },
  { name: 'across', label: 'round her' },
  { name: 'bias', label: 'bias' },
]
const panels = computed(() => openBuild.pattern.panels.map((panel) => panel.number))
const has = (number: number) => planned.value.panels.includes(number)
function toggle(number: number) {
  const now = has(number) ? planned.value.panels.filter((panel) => panel !== number) : [...planned.value.panels, number]
  const all = panels.value.every((panel) => now.includes(panel))
  openBuild.set(`${path.value}.panels`, all ? null : [...now].sort((a, b) => a - b))
}
const hasRepeat = computed(() => {
  const cloth = materials.cloths.find((cloth) => cloth.name === ply.value.cloth)
  return !!cloth?.repeat_along_mm || !!cloth?.repeat_across_mm || ply.value.matched || !!ply.value.motif_on.length
})
function motif(number: number) {
  const now = ply.value.motif_on
  const next = now.includes(number) ? now.filter((one) => one !== number) : [...now, number]
  openBuild.set(
    `${path.value}.motif_on`,
    next.sort((a, b) => a - b),
  )
}
const meets = computed(() => {
  const repeat = openBuild.layers.repeats[props.at]
  if (!repeat?.seams.length) return ''
  const broken = repeat.seams.filter((seam) => seam.low_mm > seam.hem_mm + 2 || seam.high_mm < seam.top_mm - 2)
  if (!broken.length) return 'It meets itself all along every seam.'
  const whole = repeat.seams.length - broken.length
  const part = broken.map((one) =>
    one.high_mm - one.low_mm < 10
      ? `not across ${one.seam}`
      : `across ${one.seam} from ${length(one.low_mm, settings.unit)} to ${length(one.high_mm, settings.unit)}`,
  )
  return `It meets itself ${whole ? `all along ${whole} of the seams; ` : ''}${part.join(', ')}.`
})
const last = computed(() => openBuild.build.layers.plies.length - 1)
const round = computed(() => {
  const { grows_mm: mm, grows_edge_mm: edge, grows_at: seams, grows_all: all } = planned.value
  if (Math.abs(mm) < 0.05) return 'What the pattern measures is this ply.'
  const way = mm > 0 ? 'further' : 'less far'
  const last = openBuild.pattern.panels.length
  const names = seams.map((seam) => (seam === 0 ? 'CF' : seam === last ? 'CB' : `${seam}·${seam + 1}`))
  const on = `${thick(Math.abs(edge), settings.unit)} on each ${all ? 'panel edge' : `edge at ${names.join(', ')}`}`
  const cut = seams.length ? on : 'too little to cut, left out'
  return `It goes ${thick(Math.abs(mm), settings.unit)} ${way} round: ${cut}.`
})
const carries = computed(() => {
  const { carries_n_per_m: carried, holds_n_per_m: holds } = planned.value
  return carried == null ? 'It carries nothing.' : `It carries ${Math.round(carried)} of ${Math.round(holds)} N/m.`
})
const lies = computed(() => {
  if (!overlay.value) return ''
  const worst = [...overlay.value.seams].sort((a, b) => b.share - a.share)[0]
  if (!worst) return 'It crosses no seam.'
  const percent = (share: number) => `${(share * 100).toFixed(1)} %`
  const asked = `In one piece it has to give ${percent(worst.share)} over ${worst.seam}`
  const how = { smooth: 'it lies smooth', eased: 'it lies with ease and the iron', puckers: 'it puckers' }
  return `${asked}, and gives ${percent(overlay.value.gives)}: ${how[overlay.value.lies as keyof typeof how]}.`
})
</script>

<template>
  <div class="box">
    <NamedSelect
      label="Cloth"
      :items="suited"
      :model-value="ply.cloth"
      :error-messages="openBuild.errors[`${path}.cloth`]"
      @update:model-value="(value: string) => openBuild.set(`${path}.cloth`, value)"
    />
    <button v-if="!own" type="button" class="ask left" @click="own = true">A cloth of your own …</button>
    <OwnCloth v-else :at="at" @done="own = false" />
    <NamedSelect
      v-if="ply.role !== 'strength'"
      label="Mounted"
      :items="ways"
      :model-value="ply.mounted ?? null"
      :error-messages="openBuild.errors[`${path}.mounted`]"
      @update:model-value="(value: string | null) => openBuild.set(`${path}.mounted`, value)"
    />
    <div class="two">
      <NamedSelect
        label="Grain"
        :items="GRAINS"
        :model-value="ply.grain"
        @update:model-value="(value: string) => openBuild.set(`${path}.grain`, value)"
      />
      <LengthField
        :at="`${path}.thickness_mm`"
        label="Thick, as measured"
        :mm="ply.thickness_mm"
        hardware
        :placeholder="thick(planned.thickness_mm, settings.unit).replace(/ \w+$/, '')"
      />
    </div>
    <fieldset v-if="ply.role !== 'strength'" class="on">
      <legend>On panels</legend>
      <label v-for="number in panels" :key="number"
        ><input type="checkbox" :checked="has(number)" @change="toggle(number)" /> {{ number }}</label
      >
      <p v-if="openBuild.errors[`${path}.panels`]" class="bad" role="alert">{{ openBuild.errors[`${path}.panels`] }}</p>
    </fieldset>
    <fieldset v-if="hasRepeat" class="on">
      <legend>Its repeat</legend>
      <label
        ><input
          type="checkbox"
          :checked="ply.matched"
          @change="openBuild.set(`${path}.matched`, ($event.target as HTMLInputElement).checked)"
        />
        met across the seams</label
      >
      <span class="motif"
        >motif on
        <label v-for="number in panels" :key="number"
          ><input type="checkbox" :checked="ply.motif_on.includes(number)" @change="motif(number)" />
          {{ number }}</label
        ></span
      >
    </fieldset>
    <p v-if="meets">{{ meets }}</p>
    <p>
      {{ round }} {{ carries }} <template v-if="lies">{{ lies }}</template>
    </p>
    <p class="soft small">
      {{ Math.round(planned.grams) }} g as cut.<template v-if="planned.one_way"> All pieces the same way up.</template>
    </p>
    <div v-if="ply.role !== 'strength'" class="acts">
      <v-btn size="x-small" variant="text" :disabled="at === last" @click="plies.move(at, true)">further out</v-btn>
      <v-btn size="x-small" variant="text" :disabled="at === 0" @click="plies.move(at, false)">further in</v-btn>
      <v-btn size="x-small" variant="text" @click="plies.take(at)">take it out</v-btn>
    </div>
  </div>
</template>

<style scoped>
.left {
  text-align: left;
}
.box {
  display: grid;
  gap: 6px;
  padding: 8px 0 8px 8px;
  border-left: 3px solid var(--marked);
}
.two {
  display: grid;
  grid-template-columns: 1.5fr 1fr;
  gap: 8px;
  align-items: end;
}
.on {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.motif {
  display: flex;
  gap: 8px;
  white-space: nowrap;
}
.on legend {
  font-size: 0.85rem;
  color: var(--steel);
}
.on label {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  min-height: 24px;
}
.bad {
  color: var(--takein);
  font-size: 0.9rem;
}
p {
  margin: 0;
}
.acts {
  display: flex;
  gap: 2px;
  margin-left: -8px;
}
</style>
