<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ClothName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware, withUnit } from '../../parts/words'
import { useMaterials } from '../../stores/materials'

// A strip of a cloth hung with a weight: how much longer it became tells how the cloth stretches when it is worn.
const openBuild = useOpenBuild()
const materials = useMaterials()
const settings = useSettings()
const strips = computed(() => openBuild.build.strips)
const shown = ref(false)
const cloth = ref<ClothName>(openBuild.build.mock_up.stack.strength)
const weight = ref('1')
const width = ref('')
const marked = ref('')
const longer = ref('')
const USUAL: Record<string, number> = { width_mm: 50, marked_mm: 200 }
const bare = (mm: number) => hardware(mm, settings.unit).replace(/ \w+$/, '')
const at = computed(() => `strips.${strips.value.length}`)
const said = (field: string) =>
  Object.entries(openBuild.errors).find(([where]) => where === `${at.value}.${field}`)?.[1]
const whole = computed(() => openBuild.errors[at.value])
const label = materials.clothLabel
const learned = (name: string) => {
  const found = openBuild.plan.learned?.cloths.find((cloth) => cloth.cloth === name)
  return found ? `worn it stretches by some ${(found.believed_share * 100).toFixed(1)} %` : ''
}
const FIELDS = [
  ['weight_kg', 'weight, kg', weight],
  ['width_mm', 'wide', width],
  ['marked_mm', 'between the marks', marked],
  ['longer_mm', 'longer by', longer],
] as const
async function keep() {
  const mm = (text: string, usual: number) => (text.trim() ? withUnit(text, settings.smallUnit) : usual)
  const given = {
    cloth: cloth.value,
    weight_kg: Number(weight.value.replace(',', '.')) || weight.value,
    width_mm: mm(width.value, 50),
    marked_mm: mm(marked.value, 200),
    longer_mm: longer.value.trim() ? withUnit(longer.value, settings.smallUnit) : '',
  }
  if (!(await openBuild.set(at.value, given))) return
  longer.value = ''
  shown.value = false
}
const drop = (i: number) =>
  openBuild.set(
    'strips',
    strips.value.filter((_, k) => k !== i),
  )
</script>

<template>
  <p v-for="(strip, i) in strips" :key="i" class="strip">
    A strip of {{ label(strip.cloth) }} {{ hardware(strip.width_mm, settings.unit) }} wide under
    {{ strip.weight_kg }} kg: {{ hardware(strip.longer_mm, settings.unit) }} longer over
    {{ hardware(strip.marked_mm, settings.unit) }}{{ learned(strip.cloth) ? `; ${learned(strip.cloth)}` : '' }}.
    <button type="button" :aria-label="`Take out strip ${i + 1}`" @click="drop(i)">×</button>
  </p>
  <button v-if="!shown" type="button" class="ask" @click="shown = true">+ a strip under a weight</button>
  <form v-else class="asked try" aria-label="A strip under a weight" @submit.prevent="keep">
    <label
      ><span>cloth</span
      ><select v-model="cloth" aria-label="Cloth of the strip">
        <option v-for="offered in materials.cloths" :key="offered.name" :value="offered.name">
          {{ offered.label }}
        </option>
      </select></label
    >
    <template v-for="[field, name, text] in FIELDS" :key="field">
      <label
        ><span>{{ name }}</span
        ><span
          ><input
            v-model="text.value"
            :aria-label="`Strip, ${name}`"
            :aria-invalid="!!said(field)"
            :placeholder="USUAL[field] ? bare(USUAL[field]) : ''"
          />
          {{ field === 'weight_kg' ? '' : settings.smallUnit }}</span
        ></label
      >
      <p v-if="said(field)" class="bad" role="alert">{{ said(field) }}</p>
    </template>
    <p v-if="whole" class="bad" role="alert">{{ whole }}</p>
    <p>
      <v-btn size="small" type="submit" variant="outlined">Keep it</v-btn>
      <v-btn size="small" variant="text" @click="shown = false">Leave it</v-btn>
    </p>
  </form>
</template>

<style scoped>
.strip {
  margin: 4px 0;
}
.try {
  display: grid;
  gap: 6px;
}
label {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
}
input {
  width: 84px;
}
p {
  margin: 0;
}
</style>
