<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel, LevelName, Plan } from '../api/types'
import { length, LEVEL_LABELS } from './words'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import MovedNumber from './MovedNumber.vue'

// Widths at the stitch line, panel by panel, level by level, and the sewn girth that they make.
const props = defineProps<{
  plan: Plan
  panels?: LaidPanel[]
  sewn?: Record<string, number | undefined>
  here?: string
}>()
const openBuild = useOpenBuild()
const settings = useSettings()
const panels = computed(() => props.panels ?? props.plan.pattern?.panels ?? [])
const levels = computed(() => openBuild.levels.filter((name) => panels.value[0]?.widths_mm[name] !== undefined))
const width = (panel: LaidPanel, name: LevelName) => {
  const mm = panel.widths_mm[name]
  return mm === undefined ? '' : length(mm, settings.unit, { bare: true })
}
const sewn = computed(
  () => props.sewn ?? Object.fromEntries(props.plan.levels.map((level) => [level.name, level.closed_mm])),
)
</script>

<template>
  <table class="numbers">
    <thead>
      <tr>
        <th>Widths, {{ settings.unit }}</th>
        <th v-for="panel in panels" :key="panel.number" class="n">{{ panel.number }}</th>
        <th class="n">sewn round</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="name in levels" :key="name" :class="{ here: here === name }">
        <td>{{ LEVEL_LABELS[name] }}</td>
        <td v-for="panel in panels" :key="panel.number" class="n">
          <MovedNumber :text="width(panel, name)" />
        </td>
        <td class="n">
          <b><MovedNumber v-if="sewn[name] != null" :text="length(sewn[name], settings.unit, { bare: true })" /></b>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
tr.here {
  background: var(--bench);
}
</style>
