<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { PatternEdit } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { length, withUnit } from '../../parts/words'

// Gussets of a seam, or slashed into a panel: what is there, and one more.
const props = defineProps<{ seam?: number; panel?: number }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const end = ref<'top' | 'hem'>('hem')
const width = ref('')
const depth = ref('')
const across = ref('50')
const moved = ref(false)
const name = computed(() => (props.panel ? `panel ${props.panel}` : `seam ${props.seam}·${(props.seam ?? 0) + 1}`))
const here = computed(() =>
  openBuild.pattern.gussets
    .map((gusset, index) => ({ ...gusset, index }))
    .filter((one) => (props.panel ? one.panel === props.panel : one.seam === props.seam)),
)
function make() {
  const unit = settings.unit
  emit('edit', {
    kind: 'gusset',
    seam: props.seam ?? null,
    panel: props.panel ?? null,
    across: Math.min(0.9, Math.max(0.1, Number(across.value.replace(',', '.')) / 100 || 0.5)),
    from_seams: moved.value,
    end: end.value,
    width_mm: withUnit(width.value || '0', unit),
    depth_mm: withUnit(depth.value || '0', unit),
  })
}
watch(
  () => here.value.length,
  () => (width.value = depth.value = ''),
)
</script>

<template>
  <fieldset>
    <legend>{{ panel ? 'Gusset, slashed in' : 'Gusset' }}</legend>
    <p v-for="one in here" :key="one.index" class="held">
      {{ length(one.width_mm, settings.unit) }} wide, {{ length(one.depth_mm, settings.unit) }} deep, from the
      {{ one.end }}
      <button
        type="button"
        :aria-label="`Take the gusset out of ${name}`"
        @click="emit('edit', { kind: 'drop_insert', what: 'gusset', index: one.index })"
      >
        ×
      </button>
    </p>
    <div class="gusset">
      <v-btn-toggle v-model="end" aria-label="From which edge"
        ><v-btn value="top" size="small">top</v-btn><v-btn value="hem" size="small">hem</v-btn></v-btn-toggle
      >
      <input v-model="width" :placeholder="`wide, ${settings.unit}`" aria-label="Gusset width" class="in entry" />
      <input
        v-model="depth"
        :placeholder="`deep, ${settings.unit}`"
        aria-label="Gusset depth"
        class="in entry"
        @keydown.enter="make"
      />
    </div>
    <p v-if="panel" class="where">
      <input v-model="across" aria-label="Slashed across, %" class="in entry" /> % of the way from its edge toward CF
    </p>
    <label class="tick"
      ><input v-model="moved" type="checkbox" /> its fullness from the seams beside it: the girth stays</label
    >
    <v-btn size="small" variant="outlined" :disabled="!width || !depth" @click="make">{{
      panel ? 'Slash it in' : 'Let a gusset in'
    }}</v-btn>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 14px 0;
  padding: 0;
}
legend {
  font-weight: 600;
  margin-bottom: 4px;
}
.held {
  margin: 2px 0;
  display: flex;
  gap: 8px;
  justify-content: space-between;
}
.gusset {
  display: grid;
  grid-template-columns: auto 1fr 1fr;
  gap: 8px;
  align-items: center;
  margin-bottom: 6px;
}
.where {
  margin: 4px 0;
}
.where input {
  width: 56px;
}
.tick {
  display: flex;
  gap: 7px;
  align-items: center;
  margin-bottom: 6px;
}
</style>
