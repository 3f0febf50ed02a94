<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LaidPanel, PatternEdit, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { length, LEVEL_LABELS, withUnit } from '../../parts/words'
import EditFault from './EditFault.vue'
import EditField from './EditField.vue'
import GussetForm from './GussetForm.vue'
import { reach } from './handles'

// One seam: take it in, let it out or move it at a level; its gusset, its allowance, and dropping it.
const props = defineProps<{ seam: number; panels: LaidPanel[] }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const how = defineModel<'girth' | 'shift'>('how', { required: true })
const openBuild = useOpenBuild()
const settings = useSettings()
const pattern = computed(() => openBuild.pattern)
const label = computed(() => `${props.seam}·${props.seam + 1}`)
const trued = computed(() => openBuild.plan.seams.find((seam) => seam.seam === label.value))
const panel = computed(() => props.panels[props.seam - 1])
const levels = computed(() => {
  const edge = panel.value.cb_edge
  return openBuild.plan.levels.filter((level) => level.z_mm > edge[0][1] && level.z_mm < edge[edge.length - 1][1])
})
const amounts = ref<Record<string, string | undefined>>({})
function keep(name: string, z: number) {
  const text = amounts.value[name]?.trim()
  if (!text) return
  amounts.value[name] = ''
  emit('edit', {
    kind: 'seam',
    seam: props.seam,
    at_mm: z,
    amount_mm: withUnit(text, settings.smallUnit),
    how: how.value,
    ...reach(panel.value, z),
  })
}
const own = computed(() => pattern.value.allowances.by_seam[label.value])
const isSide = computed(() => props.seam === pattern.value.front_panels)
</script>

<template>
  <div>
    <fieldset>
      <v-btn-toggle v-model="how" aria-label="What a move of the seam does" class="wide">
        <v-btn value="girth" size="small">take in, let out</v-btn
        ><v-btn value="shift" size="small">move the seam</v-btn>
      </v-btn-toggle>
      <p class="soft small">
        {{
          how === 'girth'
            ? 'On each panel edge; + lets out, − takes in. It fades over 7 cm, or runs out at the edge.'
            : 'Toward CB +, toward CF −. Every girth stays.'
        }}
      </p>
      <table class="numbers">
        <tbody>
          <tr v-for="level in levels" :key="level.name">
            <td>{{ LEVEL_LABELS[level.name as LevelName] }}</td>
            <td class="n soft in">{{ length(level.z_mm, settings.unit) }}</td>
            <td class="amount">
              <input
                v-model="amounts[level.name]"
                class="in entry"
                :aria-label="`Seam ${label} at the ${LEVEL_LABELS[level.name as LevelName].toLowerCase()}, by`"
                :placeholder="settings.unit === 'in' ? '± in' : '± mm'"
                @change="keep(level.name, level.z_mm)"
              />
            </td>
          </tr>
        </tbody>
      </table>
      <EditFault />
    </fieldset>
    <GussetForm :seam="seam" @edit="(one) => emit('edit', one)" />
    <fieldset>
      <div class="row">
        <EditField
          :mm="own"
          :placeholder="String(pattern.allowances.seams_mm)"
          label="its own allowance"
          hardware
          @keep="(text) => emit('edit', { kind: 'allowance', seam, allowance_mm: text || null })"
        />
        <div class="true">
          <span class="label">trued</span>{{ trued ? `${trued.cf_side_mm.toFixed(1)} mm both sides` : '' }}
        </div>
      </div>
      <p v-if="trued" class="soft small">
        Before: {{ trued.cf_side_before_mm.toFixed(1) }} and {{ trued.cb_side_before_mm.toFixed(1) }} mm;
        {{ Math.abs(trued.put_in_top_mm).toFixed(1) }} put in at the top,
        {{ Math.abs(trued.put_in_hem_mm).toFixed(1) }} at the hem.
      </p>
    </fieldset>
    <div class="acts">
      <v-btn size="small" variant="outlined" :disabled="isSide" @click="emit('edit', { kind: 'drop_seam', seam })"
        >Join panels {{ seam }} and {{ seam + 1 }}</v-btn
      >
      <v-btn size="small" variant="outlined" @click="emit('edit', { kind: 'join', seam, joined: true })"
        >Stitch it as a dart</v-btn
      >
    </div>
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
.wide {
  width: 100%;
}
.wide :deep(.v-btn) {
  flex: 1;
}
.amount {
  width: 92px;
}
.gusset {
  display: grid;
  grid-template-columns: auto 1fr 1fr;
  gap: 8px;
  margin-bottom: 6px;
}
.row {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
.label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
}
.held {
  display: flex;
  justify-content: space-between;
  margin: 2px 0;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
p {
  margin: 5px 0;
}
</style>
