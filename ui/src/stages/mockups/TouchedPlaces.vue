<script setup lang="ts">
import { computed, ref } from 'vue'
import type { View, Word } from '../../api/types'
import { certain } from '../../parts/certain'
import { length, SAT } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import DrawnWearer from './DrawnWearer.vue'
import { rowOf, rowsOf, type Answers, type FittingField, type Row } from './answers'
import type { Refusals } from './refusals'

// Places touched on the drawn wearer, and what each says; with the pen of the gap, the height of a reading.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{
  field: FittingField
  gaps: { z: number; gap: number }[]
  refusals: Refusals
}>()
const emit = defineEmits<{ gap: [zMm: number] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const laced = computed(() => openBuild.build.back.laced)
const pen = ref<Word | 'gap'>('digs')
const places = computed(() => rowsOf(answers.value, props.field.field))
const drawn = computed(() =>
  places.value.map(({ key, cells }) => ({
    key,
    view: cells.view as View,
    z: cells.z_mm,
    across: Number(cells.across),
    word: cells.word as Word,
  })),
)
const cell = (name: string) => certain(props.field.cells[name], name)
const offWord = computed(() => certain(cell('off_mm').only_with, 'the word of an amount')[1])
const ofHalf = (place: Row) => place.cells.word === 'digs' || place.cells.word === offWord.value
function tap(view: View, z: number, across: number) {
  const given = { view, z_mm: length(z, settings.unit, { bare: true }), across: String(across), word: pen.value }
  places.value.push(rowOf(props.field, given))
}
</script>

<template>
  <section class="drawn">
    <div class="pens" role="radiogroup" aria-label="What it does where you touch">
      <button
        v-for="pick in SAT"
        :key="pick.word"
        type="button"
        role="radio"
        :aria-checked="pen === pick.word"
        @click="pen = pick.word"
      >
        <b>{{ pick.sign }}</b> {{ pick.word }}
      </button>
      <button type="button" role="radio" :aria-checked="pen === 'gap'" @click="pen = 'gap'">
        <b>↔</b> {{ laced ? 'gap' : 'pins' }}
      </button>
      <span class="soft small">then touch her where it is so</span>
    </div>
    <DrawnWearer :plan="openBuild.plan" :taps="drawn" :gaps="gaps" :pen="pen" @tap="tap" @gap="(z) => emit('gap', z)" />
    <table v-if="places.length" class="numbers taps" :aria-label="field.label">
      <tbody>
        <template v-for="(place, i) in places" :key="place.key">
          <tr>
            <td>
              <select v-model="place.cells.view" :aria-label="`Place ${i + 1}, seen from`">
                <option v-for="view in cell('view').words" :key="view.name" :value="view.name">{{ view.label }}</option>
              </select>
            </td>
            <td>
              <input
                v-model="place.cells.z_mm"
                class="in"
                :aria-label="`Place ${i + 1}, height`"
                :aria-invalid="!!refusals.said(field.field, i)"
              />
              {{ settings.unit }}
            </td>
            <td>
              <select v-model="place.cells.word" :aria-label="`Place ${i + 1}, how it sat`">
                <option v-for="pick in SAT" :key="pick.word" :value="pick.word">{{ pick.sign }} {{ pick.word }}</option>
              </select>
            </td>
            <td>
              <template v-if="place.cells.word === offWord"
                >by <input v-model="place.cells.off_mm" class="in" :aria-label="`Place ${i + 1}, stands off by`" />
                {{ settings.smallUnit }}</template
              >
              <select v-if="ofHalf(place)" v-model="place.cells.half" :aria-label="`Place ${i + 1}, half`">
                <option value="both">both sides</option>
                <option value="right">her right</option>
                <option value="left">her left</option>
              </select>
            </td>
            <td class="n">
              <button type="button" :aria-label="`Take out place ${i + 1}`" @click="places.splice(i, 1)">×</button>
            </td>
          </tr>
          <tr v-if="refusals.said(field.field, i)">
            <td colspan="5" class="bad" role="alert">{{ refusals.said(field.field, i) }}</td>
          </tr>
        </template>
      </tbody>
    </table>
    <button type="button" class="add" @click="tap('back', 0, 0.5)">+ a place by its height</button>
  </section>
</template>

<style scoped>
.drawn {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto auto;
  gap: 8px;
  padding: 12px 16px;
  min-height: 0;
}
.taps {
  max-height: 148px;
  overflow-y: auto;
  display: block;
}
.taps tbody {
  display: table;
  width: 100%;
}
.pens {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.pens button {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 8px 12px;
  font: inherit;
  color: var(--ink);
  min-height: 42px;
}
.pens b {
  font-size: 1.15rem;
}
.pens [aria-checked='true'] {
  background: var(--ink);
  color: var(--paper);
  border-color: var(--ink);
}
@media (max-width: 900px) {
  .drawn {
    grid-template-rows: auto 36vh auto auto;
  }
}
@media (max-width: 899px) {
  .drawn {
    min-height: 480px;
  }
}
</style>
