<script setup lang="ts">
import type { LinesSeen, PatternEdit } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { usePatternCommands } from '../../commands/pattern'

// The lines that are marked on a picture: what each comes to on the garment, made so with one press, or why not.
defineProps<{ lines: LinesSeen['pictures'][number] }>()
const openBuild = useOpenBuild()
const pattern = usePatternCommands()
type Read = LinesSeen['pictures'][number]['marks'][number]
const nameOf = (mark: Read) =>
  mark.number
    ? `${mark.kind[0].toUpperCase()}${mark.kind.slice(1)}${mark.number > 1 ? ` ${mark.number}` : ''}`
    : 'Seams'
const make = (mark: Read) =>
  mark.edits.length
    ? pattern.edit([...mark.edits] as PatternEdit[])
    : openBuild.edit(mark.changes, `${nameOf(mark)} as on the picture`)
</script>

<template>
  <section aria-label="Lines on the picture">
    <h3>Its lines</h3>
    <p v-if="lines.fault" class="soft small">{{ lines.fault }}</p>
    <p v-else-if="!lines.marks.length" class="soft small">No top line, hem, closure or seam is marked on it.</p>
    <ul v-else class="offers">
      <li v-for="mark in lines.marks" :key="`${mark.kind} ${mark.number}`" :data-line="nameOf(mark)">
        <b>{{ nameOf(mark) }}</b>: {{ mark.fault ?? mark.says }}
        <template v-if="mark.warns">{{ mark.warns }} </template><button
          v-if="mark.changes.length || mark.edits.length"
          type="button"
          class="ask"
          @click="make(mark)"
        >
          make it so<span class="sr">: {{ nameOf(mark) }}</span></button
        ><span v-else-if="mark.so" class="so">It is so.</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: 10px;
}
h3 {
  font-size: 1rem;
  margin: 0 0 4px;
}
.so {
  color: var(--letout);
  font-weight: 600;
}
</style>
