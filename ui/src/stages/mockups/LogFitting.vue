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
// how it sat, level by level: a word, what stood off, a girth over it
const WORDS = ['digs', 'firm', 'right', 'light', 'stands off'] as const
const sat = ref<Record<string, { word: string; off: string; girth: string }>>({})
const covered = computed(() => (plan.value.levels ?? []).filter((level) => level.gap_mm !== null))
const at = (name: string) => (sat.value[name] ??= { word: '', off: '', girth: '' })
const saidSat = computed(() => Object.entries(desk.errors).find(([place]) => /^fittings\.\d+\.(words|stand_offs|laced)/.test(place))?.[1])
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
  const written = Object.entries(sat.value)
  const given = {
    words: written.filter(([, one]) => one.word).map(([level, one]) => ({ level, word: one.word })),
    stand_offs: written.filter(([, one]) => one.off.trim()).map(([level, one]) => ({ level, off_mm: withUnit(one.off, gapUnit.value) })),
    laced: written.filter(([, one]) => one.girth.trim()).map(([level, one]) => ({ level, girth_mm: withUnit(one.girth, desk.unit) })),
  }
  if (await desk.fitting({ pull: pull.value, readings, note: note.value, ...given })) emit('done')
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
    <table class="numbers sat" aria-label="How it sat">
      <thead><tr><th>how it sat</th><th /><th>stands off, {{ gapUnit }}</th><th>girth over it, {{ desk.unit }}</th></tr></thead>
      <tbody>
        <tr v-for="level in covered" :key="level.name">
          <th scope="row">{{ level.label }}</th>
          <td><select v-model="at(level.name).word" :aria-label="`${level.label}, how it sat`"><option value="">–</option><option v-for="word in WORDS" :key="word" :value="word">{{ word }}</option></select></td>
          <td><input v-model="at(level.name).off" class="in" :aria-label="`${level.label}, stands off by`" autocomplete="off" /></td>
          <td><input v-model="at(level.name).girth" class="in" :aria-label="`${level.label}, girth over it`" autocomplete="off" /></td>
        </tr>
      </tbody>
    </table>
    <p v-if="saidSat" class="bad" role="alert">{{ saidSat }}</p>
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
table:not(.sat) td:first-child { width: 108px; } table:not(.sat) td:nth-child(2) { width: 92px; } table:not(.sat) td:last-child { width: 22px; }
.sat { table-layout: fixed; } .sat thead th:nth-child(1) { width: 80px; } .sat thead th:nth-child(2) { width: 92px; } .sat th[scope] { color: var(--ink); font-weight: 500; font-size: 0.95rem; } .sat td { padding: 2px 3px !important; } .sat input { padding: 3px 5px; font-size: 0.98rem; } select { width: 100%; font: inherit; border: 1px solid #8b99a5; border-radius: 3px; padding: 4px; background: var(--paper); color: var(--ink); }
</style>
