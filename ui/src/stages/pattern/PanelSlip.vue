<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LaidPanel, PatternEdit, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { length, LEVEL_LABELS, withUnit } from '../../parts/words'
import EditFault from './EditFault.vue'
import EditField from './EditField.vue'
import GussetForm from './GussetForm.vue'

// One panel: its width at every level, a dart in it, and cutting it in two.
const props = defineProps<{ panel: number; panels: LaidPanel[] }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const here = computed(() => props.panels[props.panel - 1])
const levels = computed(() => openBuild.levels.filter((name) => here.value.widths_mm[name] !== undefined))
const darts = computed(() =>
  openBuild.pattern.darts.map((dart, index) => ({ ...dart, index })).filter((one) => one.panel === props.panel),
)
const joined = computed(() =>
  openBuild.pattern.joined.filter((seam) => seam === props.panel || seam === props.panel - 1),
)
const width = ref('')
const up = ref('')
const down = ref('')
function dart() {
  const unit = settings.unit
  emit('edit', {
    kind: 'dart',
    panel: props.panel,
    width_mm: withUnit(width.value || '0', unit),
    low_mm: withUnit(`-${down.value || '0'}`, unit),
    widest_mm: 0,
    high_mm: withUnit(up.value || '0', unit),
  })
}
</script>

<template>
  <div>
    <fieldset>
      <legend>Width, stitch line to stitch line</legend>
      <div v-for="name in levels" :key="name" class="width">
        <span>{{ LEVEL_LABELS[name as LevelName] }}</span>
        <EditField
          :mm="here.widths_mm[name]"
          :label="`Panel ${panel}, width at the ${LEVEL_LABELS[name as LevelName].toLowerCase()}`"
          hide-label
          @keep="(text) => emit('edit', { kind: 'width', panel, level: name, width_mm: text })"
        />
      </div>
      <p class="soft small">The girth changes with it: twice, once in each half.</p>
      <EditFault />
    </fieldset>
    <fieldset>
      <legend>Dart at the {{ openBuild.zero }}</legend>
      <p v-for="one in darts" :key="one.index" class="held">
        {{ length(one.width_mm, settings.unit) }} wide, from {{ length(one.low_mm, settings.unit) }} to
        {{ length(one.high_mm, settings.unit) }}
        <button
          type="button"
          :aria-label="`Take the dart out of panel ${panel}`"
          @click="emit('edit', { kind: 'drop_insert', what: 'dart', index: one.index })"
        >
          ×
        </button>
      </p>
      <div class="dart">
        <input v-model="width" class="in entry" :placeholder="`wide, ${settings.unit}`" aria-label="Dart width" />
        <input v-model="up" class="in entry" placeholder="up to" aria-label="Dart up to" />
        <input v-model="down" class="in entry" placeholder="down to" aria-label="Dart down to" @keydown.enter="dart" />
      </div>
      <v-btn size="small" variant="outlined" :disabled="!width || !up || !down" @click="dart">Stitch a dart</v-btn>
    </fieldset>
    <GussetForm :panel="panel" @edit="(one) => emit('edit', one)" />
    <p v-for="seam in joined" :key="seam" class="held">
      Stitched to panel {{ seam === panel ? panel + 1 : seam }} as one piece with a dart
      <v-btn size="x-small" variant="outlined" @click="emit('edit', { kind: 'join', seam, joined: false })"
        >Cut it again</v-btn
      >
    </p>
    <v-btn size="small" variant="outlined" @click="emit('edit', { kind: 'split', panel })"
      >Cut panel {{ panel }} in two</v-btn
    >
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 10px 0;
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
.dart {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 8px;
  margin-bottom: 6px;
}
.held {
  display: flex;
  justify-content: space-between;
  margin: 2px 0;
}
p {
  margin: 5px 0;
}
</style>
