<script setup lang="ts">
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware } from '../../parts/words'
import { key } from './answers'
import { numberOf, otherPull, type GapRow, type Written } from './fitting'
import { certain } from '../../parts/certain'

// The gap at some heights, as it was worn and at every other pull of the evening, beside what was expected.
const fitting = defineModel<Written>({ required: true })
const props = defineProps<{
  said: (field: string, i?: number) => string | undefined
  whole?: string
  tied: boolean
  pins?: boolean
}>()
const openBuild = useOpenBuild()
const settings = useSettings()
const narrow = window.innerWidth < 900 // there she first touches the drawing
const expected = (z: string) => {
  const fit = certain(openBuild.plan.mock_up, 'the mock-up')
  const mm = numberOf(z, settings.unit === 'in' ? 25.4 : 10)
  if (!z.trim() || !Number.isFinite(mm)) return ''
  const i = fit.z_mm.findIndex((height) => height >= mm)
  return hardware(fit.gap_mm[i < 0 ? fit.gap_mm.length - 1 : i], settings.unit).replace(/ \w+$/, '')
}
const beside = (row: GapRow) => (row.spread ? `± ${hardware(row.spread, settings.unit)}` : expected(row.z))
const rowSaid = (i: number) => {
  const sent = fitting.value.rows.map((row, k) => ({ row, k })).filter(({ row }) => row.gap.trim())
  const k = sent.findIndex((entry) => entry.k === i)
  return k < 0 ? undefined : props.said('readings', k)
}
// another pull's gap as it was refused, at its own entry; what is said of the whole pull stands under the table
const alsoSaid = (k: number, i: number) => {
  const sent = fitting.value.rows.filter((row) => row.also[k]?.trim())
  const at = sent.indexOf(fitting.value.rows[i])
  return at < 0 ? undefined : props.said(`also.${k}.readings`, at)
}
const pullSaid = (k: number) =>
  props.said(`also.${k}.pull`) ??
  fitting.value.rows.map((_, i) => alsoSaid(k, i)).find(Boolean) ??
  props.said(`also.${k}`)
function dropPull(k: number) {
  fitting.value.also.splice(k, 1)
  for (const row of fitting.value.rows) row.also.splice(k, 1)
}
const addRow = () => fitting.value.rows.push({ key: key(), z: '', gap: '', also: [] })
function addPull() {
  const other = otherPull(fitting.value)
  if (other) fitting.value.also.push(other)
}
</script>

<template>
  <table class="numbers">
    <thead>
      <tr>
        <th>height, {{ settings.unit }}</th>
        <th>{{ pins ? 'pins' : 'gap' }}, {{ settings.smallUnit }}</th>
        <th v-for="(_, k) in fitting.also" :key="k" class="other">
          <select v-model="fitting.also[k]" :aria-label="`Another pull ${k + 1}`">
            <option value="light">light</option>
            <option value="close">close</option>
            <option value="firm">firm</option>
          </select>
          <button type="button" :aria-label="`Take out the other pull ${k + 1}`" @click="dropPull(k)">×</button>
        </th>
        <th class="n">expected</th>
        <td />
      </tr>
    </thead>
    <tbody>
      <template v-for="(row, i) in fitting.rows" :key="row.key">
        <tr>
          <td>
            <input v-model="row.z" class="in" :aria-label="`Height of reading ${i + 1}`" :aria-invalid="!!rowSaid(i)" />
          </td>
          <td>
            <input
              v-model="row.gap"
              class="in gap"
              :aria-label="`${pins ? 'Pins' : 'Gap'} ${i + 1}`"
              inputmode="decimal"
              autocomplete="off"
              :aria-invalid="!!rowSaid(i)"
              :autofocus="i === 0 && !narrow"
              @input="row.spread = undefined"
            />
          </td>
          <td v-for="(_, k) in fitting.also" :key="k">
            <input
              v-model="row.also[k]"
              class="in"
              :aria-label="`Gap ${i + 1}, pulled ${fitting.also[k]}`"
              inputmode="decimal"
              autocomplete="off"
              :aria-invalid="!!alsoSaid(k, i)"
            />
          </td>
          <td class="n soft in">{{ beside(row) }}</td>
          <td>
            <button type="button" :aria-label="`Take out reading ${i + 1}`" @click="fitting.rows.splice(i, 1)">
              ×
            </button>
          </td>
        </tr>
        <tr v-if="rowSaid(i)">
          <td colspan="4" class="bad" role="alert">{{ rowSaid(i) }}</td>
        </tr>
      </template>
    </tbody>
  </table>
  <p v-for="(_, k) in fitting.also" v-show="pullSaid(k)" :key="k" class="bad" role="alert">{{ pullSaid(k) }}</p>
  <div class="adds">
    <button type="button" class="add" @click="addRow">+ another height</button>
    <button
      v-if="!tied && fitting.closing === 'laced' && fitting.also.length < 2"
      type="button"
      class="add"
      title="Laced lightly first, then as worn: two minutes that tell a girth from a give"
      @click="addPull"
    >
      + the gap at another pull
    </button>
  </div>
  <p v-if="whole" class="bad" role="alert">{{ whole }}</p>
</template>

<style scoped>
.adds {
  display: flex;
  gap: 20px;
  flex-wrap: wrap;
}
.other {
  white-space: nowrap;
  font-weight: 400;
}
.other select {
  padding: 2px;
}
</style>
