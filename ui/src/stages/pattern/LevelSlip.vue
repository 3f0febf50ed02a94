<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel, PatternEdit, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware, length, LEVEL_LABELS } from '../../parts/words'
import EditFault from './EditFault.vue'
import EditField from './EditField.vue'

// One level: how the garment sits there, and every panel's width.
const props = defineProps<{ level: LevelName; panels: LaidPanel[] }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const here = computed(() => openBuild.plan.levels.find((level) => level.name === props.level))
const name = computed(() => LEVEL_LABELS[props.level].toLowerCase())
const rows = computed(() => {
  const one = here.value
  if (!one) return []
  return [
    ['body', `${length(one.body_mm, settings.unit)} ± ${length(one.body_spread_mm, settings.unit, { bare: true })}`],
    ...(one.closed_mm != null ? [['sewn, closed', length(one.closed_mm, settings.unit)]] : []),
    ...(one.worn_mm != null ? [['worn', length(one.worn_mm, settings.unit)]] : []),
    ...(one.gap_mm != null ? [['gap', hardware(one.gap_mm, settings.unit)]] : []),
    ...(one.pressure_kpa != null
      ? [['pressure', `${one.pressure_kpa.toFixed(1)} of ${one.comfort_kpa.toFixed(1)} kPa, ${one.feel}`]]
      : []),
    ...(one.stand_off_mm ? [['stands off by', hardware(one.stand_off_mm, settings.unit)]] : []),
  ]
})
</script>

<template>
  <div>
    <table class="numbers">
      <tbody>
        <tr v-for="[what, text] in rows" :key="what">
          <td>{{ what }}</td>
          <td class="n in">{{ text }}</td>
        </tr>
      </tbody>
    </table>
    <fieldset>
      <legend>Width of each panel</legend>
      <div v-for="panel in panels" :key="panel.number" class="width">
        <span>Panel {{ panel.number }}</span>
        <EditField
          :mm="panel.widths_mm[level]"
          :label="`Width of panel ${panel.number} at the ${name}`"
          hide-label
          @keep="(text) => emit('edit', { kind: 'width', panel: panel.number, level, width_mm: text })"
        />
      </div>
      <EditFault />
    </fieldset>
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 12px 0;
  padding: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: 4px;
}
.width {
  display: grid;
  grid-template-columns: 1fr 120px;
  align-items: center;
  padding: 2px 0;
  border-bottom: 1px solid var(--line);
}
</style>
