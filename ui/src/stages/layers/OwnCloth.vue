<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { withUnit } from '../../parts/words'
import { usePlyCommands } from '../../commands/plies'
import { useMaterials } from '../../stores/materials'
import { certain } from '../../parts/certain'

// A cloth that no catalogue has: what is not known of it is as the cloth that it takes the place of.
const props = defineProps<{ at: number }>()
const emit = defineEmits<{ done: [] }>()
const openBuild = useOpenBuild()
const materials = useMaterials()
const plies = usePlyCommands()
const settings = useSettings()
const now = computed(() => {
  const name = openBuild.build.layers.plies[props.at].cloth
  return certain(
    materials.cloths.find((cloth) => cloth.name === name),
    name,
  )
})
const made = ref({ label: '', thickness_mm: '', mass_g_m2: '', width_mm: '', gives_across: '', price_per_m: '' })
const wide = computed(() => (settings.unit === 'in' ? 'in' : 'cm'))
const shown = (mm: number) => (settings.unit === 'in' ? (mm / 25.4).toFixed(1) : (mm / 10).toFixed(0))
const FIELDS = computed(() => [
  { name: 'label' as const, label: 'What it is called', usual: '', unit: '' },
  { name: 'thickness_mm' as const, label: 'thick, mm', usual: String(now.value.thickness_mm), unit: 'mm' },
  { name: 'mass_g_m2' as const, label: 'g/m²', usual: String(now.value.mass_g_m2), unit: '' },
  {
    name: 'width_mm' as const,
    label: `wide, ${wide.value}`,
    usual: shown(now.value.width_mm),
    unit: wide.value,
  },
  { name: 'gives_across' as const, label: 'gives across, %', usual: String(now.value.gives_across), unit: '' },
  { name: 'price_per_m' as const, label: 'price by the metre', usual: String(now.value.price_per_m), unit: '' },
])
/** What is so of it, as far as it changes how it is cut and sewn. */
const TRAITS = [
  { name: 'sheds' as const, label: 'sheds when it is cut' },
  { name: 'breaks_needles' as const, label: 'breaks needles' },
]
const traits = ref({ sheds: now.value.sheds, breaks_needles: now.value.breaks_needles })
const faults = computed(() =>
  Object.entries(openBuild.errors)
    .filter(([at]) => at.startsWith('catalogue.cloths'))
    .map(([at, said]) => ({
      field: at.split('.').pop(),
      said,
    })),
)
async function keep() {
  const given: Record<string, unknown> = {}
  for (const { name, unit } of FIELDS.value) {
    const text = made.value[name].trim()
    if (text) given[name] = unit ? withUnit(text, unit) : text
  }
  for (const { name } of TRAITS) if (traits.value[name] !== now.value[name]) given[name] = traits.value[name]
  if (await plies.keepCloth(given, props.at)) emit('done')
}
</script>

<template>
  <form class="asked own" aria-label="A cloth of your own" @submit.prevent="keep">
    <label v-for="field in FIELDS" :key="field.name" :class="{ whole: field.name === 'label' }"
      ><span class="soft small">{{ field.label }}</span
      ><input v-model="made[field.name]" :placeholder="field.usual" autocomplete="off" :aria-label="field.label"
    /></label>
    <label v-for="trait in TRAITS" :key="trait.name" class="whole trait"
      ><input v-model="traits[trait.name]" type="checkbox" /> {{ trait.label }}</label
    >
    <p v-for="fault in faults" :key="fault.field" class="bad" role="alert">{{ fault.said }}</p>
    <p class="soft small">What you leave out is as {{ now.label }} has it.</p>
    <div class="acts">
      <v-btn type="submit" size="small" variant="outlined" :disabled="!made.label.trim()">Keep it, and take it</v-btn>
      <v-btn size="small" variant="text" @click="emit('done')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 8px;
}
.own label {
  display: grid;
}
.own .trait {
  display: flex;
  gap: 8px;
  align-items: center;
}
.own .trait input {
  width: auto;
}
.own input {
  width: 100%;
  min-width: 0;
}
.own .whole,
.own p,
.own .acts {
  grid-column: 1 / -1;
}
.own .whole input {
  text-align: left;
}
.own input::placeholder {
  color: var(--steel);
  font-style: italic;
}
p {
  margin: 0;
}
</style>
