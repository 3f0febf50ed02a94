<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { get } from '../../api/client'
import type { components } from '../../api/schema'
import { useDesk } from '../../desk'
import { hardware, length, LEVEL_LABELS, shortDay, type LevelName } from '../../words'

// One version: its name and note, what changed from it to the present one, and the way back to it.
const props = defineProps<{ number: number }>()
const emit = defineEmits<{ compared: [panels: components['schemas']['LaidPanel'][]]; leave: [] }>()
const desk = useDesk()
const version = computed(() => desk.build!.versions![props.number - 1])
const current = computed(() => desk.build!.versions!.length)
const found = ref<components['schemas']['Compared']>()
watch(
  () => [props.number, current.value, desk.sheet!.id],
  async () => {
    found.value = undefined
    if (props.number === current.value) return emit('compared', [])
    try {
      found.value = await get(`/builds/${desk.sheet!.id}/compare?before=${props.number}&after=${current.value}`)
      emit('compared', found.value!.before_panels)
    } catch (error) {
      desk.complain(error)
    }
  },
  { immediate: true },
)
const signed = (mm: number) => (Math.abs(mm) < 0.5 ? '=' : `${mm > 0 ? '+' : '−'}${length(Math.abs(mm), desk.unit, { bare: true })}`)
const amount = (mm: number) => (desk.unit === 'in' ? length(mm, 'in', { hardware: true, bare: true }) : mm.toFixed(1))
async function back() {
  if (await desk.version('back', props.number)) emit('leave')
}
</script>

<template>
  <section class="version" :aria-label="`Version ${number}`">
    <p class="soft small">{{ version.made_on ? `${shortDay(version.made_on)}, ` : '' }}{{ version.reason }}</p>
    <v-text-field label="Name it" :model-value="version.name" @change="(event: Event) => desk.set(`versions.${number - 1}.name`, (event.target as HTMLInputElement).value)" />
    <v-textarea label="Note" rows="2" auto-grow :model-value="version.note" @change="(event: Event) => desk.set(`versions.${number - 1}.note`, (event.target as HTMLInputElement).value)" />
    <template v-if="found">
      <h2>From version {{ found.before }} to {{ found.after }}</h2>
      <table class="numbers" aria-label="Girths compared">
        <thead><tr><th>sewn girth, {{ desk.unit }}</th><th class="n">v{{ found.before }}</th><th class="n">v{{ found.after }}</th><th class="n">change</th></tr></thead>
        <tbody>
          <tr v-for="level in found.comparison.levels" :key="level.name"><td>{{ LEVEL_LABELS[level.name as LevelName] }}</td><td class="n in">{{ length(level.before_mm, desk.unit, { bare: true }) }}</td><td class="n in">{{ length(level.after_mm, desk.unit, { bare: true }) }}</td><td class="n in"><b>{{ signed(level.after_mm - level.before_mm) }}</b></td></tr>
        </tbody>
      </table>
      <p v-if="!found.comparison.same_cut">The panels were cut anew, so seams can't be set beside each other.</p>
      <table v-else-if="found.comparison.seams.length" class="numbers" aria-label="Seams compared">
        <thead><tr><th>seam, {{ desk.unit === 'in' ? 'in' : 'mm' }} per panel edge</th><th class="n">change</th></tr></thead>
        <tbody>
          <tr v-for="mark in found.comparison.seams" :key="mark.seam + mark.level"><td>{{ mark.seam }}, {{ LEVEL_LABELS[mark.level as LevelName].toLowerCase() }}</td><td class="n" :class="mark.kind === 'let out' ? 'letout' : 'takein'">{{ mark.kind === 'let out' ? '◀▶' : '▶◀' }} {{ mark.kind }} <b class="in">{{ amount(mark.cf_side_mm) }} + {{ amount(mark.cb_side_mm) }}</b></td></tr>
        </tbody>
      </table>
      <p v-for="edge in found.comparison.edges" :key="edge.edge + edge.place">{{ edge.edge === 'top' ? 'Top line' : 'Hem' }} at {{ edge.place }} {{ edge.moved_mm > 0 ? 'raised' : 'lowered' }} by {{ hardware(Math.abs(edge.moved_mm), desk.unit) }}.</p>
    </template>
    <div class="acts">
      <v-btn v-if="number !== current" color="primary" @click="back">Go back to it, as version {{ current + 1 }}</v-btn>
      <v-btn variant="outlined" @click="emit('leave')">Close</v-btn>
    </div>
  </section>
</template>

<style scoped>
.version { display: grid; gap: 10px; } .version p { margin: 0; } .acts { display: flex; gap: 8px; flex-wrap: wrap; }
</style>
