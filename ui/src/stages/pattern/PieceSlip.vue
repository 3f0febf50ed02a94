<script setup lang="ts">
import { computed } from 'vue'
import type { LevelName, PatternEdit } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware, LEVEL_LABELS } from '../../parts/words'
import { entriesOf } from '../../parts/entries'

// A gusset, cup or shoulder piece: what its edges measure, and what they are sewn to.
const props = defineProps<{ name: string }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const piece = computed(() => openBuild.pattern.pieces.find((piece) => piece.name === props.name))
const gains = computed(() => entriesOf(piece.value?.gains_mm ?? {}))
const gusset = computed(() => Number(/^gusset (\d+)$/.exec(props.name)?.[1] ?? 0) - 1)
</script>

<template>
  <div v-if="piece">
    <p>Cut {{ piece.cut }}, mirrored. {{ piece.note[0].toUpperCase() + piece.note.slice(1) }}.</p>
    <table class="numbers">
      <tbody>
        <tr v-for="[edge, mm] in entriesOf(piece.edges_mm)" :key="edge">
          <td>{{ edge }}</td>
          <td class="n in">{{ hardware(mm, settings.unit) }}</td>
        </tr>
        <tr v-for="[edge, mm] in entriesOf(piece.sewn_to_mm)" :key="`to ${edge}`">
          <td>sewn to: {{ edge }}</td>
          <td class="n in">{{ hardware(mm, settings.unit) }}</td>
        </tr>
      </tbody>
    </table>
    <table v-if="gains.length" class="numbers" aria-label="Girth it adds">
      <thead>
        <tr>
          <th>Girth it adds</th>
          <td />
        </tr>
      </thead>
      <tbody>
        <tr v-for="[level, mm] in gains" :key="level">
          <td>{{ LEVEL_LABELS[level as LevelName] }}</td>
          <td class="n in">{{ hardware(mm, settings.unit) }}</td>
        </tr>
      </tbody>
    </table>
    <v-btn
      v-if="gusset >= 0"
      size="small"
      variant="outlined"
      class="out"
      @click="emit('edit', { kind: 'drop_insert', what: 'gusset', index: gusset })"
      >Take it out</v-btn
    >
  </div>
</template>

<style scoped>
.out {
  margin-top: 10px;
}
</style>
