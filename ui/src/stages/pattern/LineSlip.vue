<script setup lang="ts">
import { computed } from 'vue'
import type { LaidPanel, PatternEdit, Plan } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import EditFault from './EditFault.vue'
import EditField from './EditField.vue'
import { lineHandles } from './handles'

// The top line or hem: a usual shape, and its height at CF, every seam, side, CB and points between.
type Line = NonNullable<Plan['pattern']>['top']
const props = defineProps<{ end: 'top' | 'hem'; line: Line; panels: LaidPanel[] }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const pattern = computed(() => openBuild.pattern)
const SHAPES = { top: ['plain', 'sweetheart', 'scoop', 'point'], hem: ['plain', 'point', 'scoop', 'swoop'] } as const
const sign = computed(() => (props.end === 'top' ? 1 : -1))
const rows = computed(() =>
  lineHandles(
    openBuild.plan,
    props.panels,
    props.panels.map(() => 0),
    props.end,
    props.line,
    settings.unit,
  )
    .map((handle) => {
      const place = Number(handle.id.split(' ')[1])
      const point = props.line.points.find((point) => Math.abs(point.place - place) < 0.04)
      const corner = place < 0.04 ? props.line.corner_at_cf : place > 1.96 ? props.line.corner_at_cb : point?.corner
      return {
        place,
        z: handle.z,
        name: handle.label.replace(/^(Top line|Hem)(, | at )/, ''),
        own: !!point,
        corner: !!corner,
        canCorner: Math.abs(place - 1) > 0.04 && (place < 0.04 || place > 1.96 || !!point),
      }
    })
    .sort((a, b) => a.place - b.place),
)
const to = (place: number, text: string) =>
  emit('edit', {
    kind: 'point',
    end: props.end,
    place,
    z_mm: sign.value < 0 ? (text.startsWith('-') || text.startsWith('−') ? text.slice(1) : `-${text}`) : text,
  })
</script>

<template>
  <div>
    <fieldset>
      <legend>Shape</legend>
      <div class="shapes">
        <v-btn
          v-for="shape in SHAPES[end]"
          :key="shape"
          size="small"
          variant="outlined"
          @click="emit('edit', { kind: 'line_shape', end, shape, bust_place: pattern.bust_place })"
          >{{ shape }}</v-btn
        >
      </div>
    </fieldset>
    <fieldset>
      <legend>{{ end === 'top' ? 'Above' : 'Below' }} the {{ pattern.zero }}</legend>
      <div v-for="row in rows" :key="row.place" class="point" :class="{ own: row.own }">
        <span>{{ row.name }}</span>
        <EditField
          :mm="sign * row.z"
          :label="`${end === 'top' ? 'Top line' : 'Hem'} at ${row.name}`"
          hide-label
          @keep="(text) => to(row.place, text)"
        />
        <span class="marks">
          <button
            v-if="row.canCorner"
            type="button"
            :aria-pressed="row.corner"
            :aria-label="`Corner at ${row.name}`"
            :title="row.corner ? 'A corner: make it smooth' : 'Smooth: make it a corner'"
            @click="emit('edit', { kind: 'point', end, place: row.place, z_mm: row.z, corner: !row.corner })"
          >
            {{ row.corner ? '◆' : '●' }}
          </button>
          <button
            v-if="row.own"
            type="button"
            :aria-label="`Take out the point at ${row.name}`"
            @click="emit('edit', { kind: 'drop_point', end, place: row.place })"
          >
            ×
          </button>
        </span>
      </div>
      <EditFault />
    </fieldset>
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
.shapes {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.point {
  display: grid;
  grid-template-columns: 1fr 112px 44px;
  gap: 6px;
  align-items: center;
  padding: 2px 0;
  border-bottom: 1px solid var(--line);
}
.own {
  font-weight: 600;
}
.marks {
  display: flex;
  gap: 4px;
}
.marks button {
  color: var(--letout);
  font-size: 1rem;
  padding: 0 4px;
}
</style>
