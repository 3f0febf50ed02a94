<script setup lang="ts">
import { ref } from 'vue'
import type { Wear } from '../../api/types'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { withUnit } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// A time that it was worn, as it is written down; half typed it comes back.
const props = defineProps<{ today: string }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const HEATS = ['cool', 'warm', 'hot'] as const
const FELT = ['easy', 'fine', 'tiring', 'hurt'] as const
const blank = () => ({
  on: '',
  hours: '',
  heat: null as Wear['heat'],
  gap: '',
  comfort: null as Wear['comfort'],
  note: '',
  gave: '',
})
const wear = ref(blank())
const adding = ref(false)
const draft = useDraft(
  openBuild.here.id,
  'wear',
  wear,
  () => openBuild.latest?.revision ?? null,
  (now) => JSON.stringify({ ...now, on: '' }) === JSON.stringify(blank()),
)
if (draft.restored.value) adding.value = true
function begin() {
  wear.value = { ...blank(), on: props.today }
  adding.value = true
}
const saidAt = (field: string) =>
  Object.entries(openBuild.errors).find(([at]) => new RegExp(`^record\\.wears\\.\\d+\\.${field}$`).test(at))?.[1]
async function keepWear() {
  const { on, hours, heat, gap, comfort, note, gave } = wear.value
  const one = {
    on,
    hours: hours.trim() || null,
    heat,
    gap_mm: gap.trim() ? withUnit(gap, settings.unit) : null,
    comfort,
    note,
    gave_way: gave,
  }
  if (!(await openBuild.set('record.wears', [...openBuild.build.record.wears, one]))) return
  wear.value = blank()
  adding.value = false
}
</script>

<template>
  <section aria-label="A wear">
    <h2>A wear</h2>
    <button v-if="!adding" type="button" class="ask" @click="begin">It was worn …</button>
    <form v-else class="fields" @submit.prevent="keepWear">
      <p v-if="draft.restored.value" class="soft small">As you typed it {{ whenSaved(draft.restored.value.saved) }}.</p>
      <v-text-field v-model="wear.on" type="date" label="on" :error-messages="saidAt('on')" />
      <v-text-field v-model="wear.hours" label="for how many hours" :error-messages="saidAt('hours')" />
      <v-select v-model="wear.heat" label="how hot it was" :items="HEATS" clearable />
      <v-text-field v-model="wear.gap" :label="`gap behind, ${settings.unit}`" :error-messages="saidAt('gap_mm')" />
      <v-select v-model="wear.comfort" label="how it felt" :items="FELT" clearable />
      <v-text-field v-model="wear.gave" label="what gave way" maxlength="200" />
      <v-text-field v-model="wear.note" label="a note" maxlength="600" />
      <div class="acts">
        <v-btn type="submit" size="small" color="primary" :disabled="!wear.on">Keep it</v-btn>
        <v-btn size="small" variant="text" @click="((adding = false), (wear = blank()))">Leave it</v-btn>
      </div>
      <p class="soft small">Pain, numbness, tingling or breathlessness: stop wearing it so, and ask a doctor.</p>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 12px 0 4px;
}
p {
  margin: 3px 0;
}
</style>
