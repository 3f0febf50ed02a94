<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Pull } from '../../api/types'
import { useDesk } from '../../desk'
import { hardware, length, withUnit } from '../../words'

// Log a fitting: the pull, and the gap at some heights. What is refused stays as written.
const emit = defineEmits<{ done: []; leave: [] }>()
const desk = useDesk()
const plan = computed(() => desk.plan!)
const number = computed(() => desk.build!.fittings!.length)
const pull = ref<Pull>(desk.build!.target!.pull!)
const note = ref('')
type Row = { key: number; z: string; gap: string }
const rows = ref<Row[]>([])
let keys = 0

watch(
  () => [plan.value.pattern?.version, desk.unit],
  () => {
    if (rows.value.some((row) => row.gap)) return
    const z = plan.value.mock_up!.z_mm
    const [low, high] = [Math.ceil(z[0] + 8), Math.floor(z[z.length - 1] - 8)]
    rows.value = [high, high / 2, 0, low / 2, low].map((height) => ({ key: keys++, z: length(height, desk.unit, { bare: true }), gap: '' }))
  },
  { immediate: true },
)
const bad = (i: number, field: 'z_mm' | 'gap_mm') => {
  const written = rows.value.map((row, k) => ({ row, k })).filter(({ row }) => row.gap.trim())
  const place = written.findIndex(({ k }) => k === i)
  return place < 0 ? undefined : desk.errors[`fittings.${number.value}.readings.${place}.${field}`]
}
const whole = computed(() => desk.errors[`fittings.${number.value}.readings`])
const gapUnit = computed(() => (desk.unit === 'in' ? 'in' : 'mm'))

async function log() {
  const readings = rows.value
    .filter((row) => row.gap.trim())
    .map((row) => ({ z_mm: withUnit(row.z, desk.unit), gap_mm: withUnit(row.gap, gapUnit.value) }))
  if (await desk.fitting({ pull: pull.value, readings, note: note.value })) emit('done')
}
const expected = (z: string) => {
  const fit = plan.value.mock_up!
  const mm = Number(z.replace('−', '-').replace(',', '.')) * (desk.unit === 'in' ? 25.4 : 10)
  if (!Number.isFinite(mm)) return ''
  const i = fit.z_mm.findIndex((height) => height >= mm)
  return hardware(fit.gap_mm[i < 0 ? fit.gap_mm.length - 1 : i], desk.unit).replace(/ \w+$/, '')
}
</script>

<template>
  <form aria-label="Log a fitting" @submit.prevent="log">
    <div class="pull">
      <span id="tried-pull">Pulled</span>
      <v-btn-toggle v-model="pull" aria-labelledby="tried-pull">
        <v-btn value="light" size="small">light</v-btn><v-btn value="close" size="small">close</v-btn><v-btn value="firm" size="small">firm</v-btn>
      </v-btn-toggle>
    </div>
    <table class="numbers">
      <thead><tr><th>height, {{ desk.unit }}</th><th>gap, {{ gapUnit }}</th><th class="n">expected</th><td /></tr></thead>
      <tbody>
        <template v-for="(row, i) in rows" :key="row.key">
          <tr>
            <td><input v-model="row.z" class="in" :aria-label="`Height of reading ${i + 1}`" :aria-invalid="!!bad(i, 'z_mm')" /></td>
            <td><input v-model="row.gap" class="in gap" :aria-label="`Gap ${i + 1}`" inputmode="decimal" autocomplete="off" :aria-invalid="!!bad(i, 'gap_mm')" :autofocus="i === 0" /></td>
            <td class="n soft in">{{ expected(row.z) }}</td>
            <td><button type="button" :aria-label="`Take out reading ${i + 1}`" @click="rows.splice(i, 1)">×</button></td>
          </tr>
          <tr v-if="bad(i, 'z_mm') || bad(i, 'gap_mm')"><td colspan="4" class="bad" role="alert">{{ bad(i, 'z_mm') ?? bad(i, 'gap_mm') }}</td></tr>
        </template>
      </tbody>
    </table>
    <button type="button" class="add" @click="rows.push({ key: keys++, z: '', gap: '' })">+ another height</button>
    <p v-if="whole" class="bad" role="alert">{{ whole }}</p>
    <v-textarea v-model="note" label="What she said, where it dug" rows="2" auto-grow />
    <div class="acts">
      <v-btn color="primary" type="submit">Log fitting {{ number + 1 }}</v-btn>
      <v-btn variant="text" @click="emit('leave')">Leave it</v-btn>
    </div>
  </form>
</template>

<style scoped>
form { display: grid; gap: 10px; margin-top: 10px; } .pull { display: flex; gap: 12px; align-items: center; }
input { width: 100%; font: inherit; font-size: 1.05rem; border: 1px solid #8b99a5; border-radius: 3px; padding: 5px 7px; text-align: right; background: var(--paper); color: var(--ink); }
button:not(.v-btn) { color: var(--steel); }
input[aria-invalid='true'] { border-color: var(--takein); } td { border: 0 !important; }
.add { justify-self: start; color: var(--letout); } .bad { color: var(--takein); font-size: 0.9rem; } .acts { position: sticky; bottom: -20px; margin: 4px -16px -20px; padding: 10px 16px 14px; background: var(--paper); border-top: 1px solid var(--line); display: flex; gap: 8px; z-index: 1; }
td:first-child { width: 108px; } td:nth-child(2) { width: 92px; } td:last-child { width: 22px; }
</style>
