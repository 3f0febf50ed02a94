<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Line } from '../../api/types'
import { useDesk, workshop } from '../../desk'

// An earlier build's pattern, to this wearer.
const open = defineModel<boolean>({ required: true })
const desk = useDesk()
const lines = ref<Line[]>([])
watch(open, async (now) => {
  if (!now) return
  const found = await Promise.all([workshop.list(), workshop.list(true)]).catch(() => [[], []])
  lines.value = found.flat().filter((line) => line.id !== desk.sheet!.id && line.silhouette.length)
})
const fitting = computed(() => lines.value.filter((line) => line.kind === desk.build!.kind))
const others = computed(() => lines.value.length - fitting.value.length)
async function take(line: Line) {
  if (await desk.refit(line.id)) open.value = false
}
</script>

<template>
  <v-dialog v-model="open" max-width="560">
    <v-card title="Refit an earlier build">
      <v-card-text>
        <p v-if="!fitting.length">There is no other {{ desk.build!.kind }} with a pattern in the workshop{{ others ? `; ${others} of another kind` : '' }}.</p>
        <p v-else>Its levels move to where this wearer's are, and its girths change by what her aim differs.</p>
        <ul>
          <li v-for="line in fitting" :key="line.id">
            <span><b>{{ line.name }}</b><small>{{ [line.wearer && `for ${line.wearer}`, line.version ? `version ${line.version}` : 'draft', line.fittings && `${line.fittings} tried on`].filter(Boolean).join(', ') }}</small></span>
            <v-btn size="small" variant="outlined" :aria-label="`Refit ${line.name}`" @click="take(line)">Refit it</v-btn>
          </li>
        </ul>
      </v-card-text>
      <v-card-actions><v-btn @click="open = false">Leave it</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
ul { list-style: none; padding: 0; margin: 10px 0 0; } li { display: flex; justify-content: space-between; align-items: center; padding: 7px 0; border-top: 1px solid var(--line); } small { display: block; color: var(--steel); }
</style>
