<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Line } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { workshop } from '../../stores/workshop'
import { usePatternCommands } from '../../commands/pattern'

// An earlier build's pattern, to this wearer.
const shown = defineModel<boolean>({ required: true })
const pattern = usePatternCommands()
const openBuild = useOpenBuild()
const lines = ref<Line[]>([])
watch(shown, async (now) => {
  if (!now) return
  const found = await Promise.all([workshop.list(), workshop.list(true)]).catch(() => [[], []])
  lines.value = found.flat().filter((line) => line.id !== openBuild.here.id && line.silhouette.length)
})
const fitting = computed(() => lines.value.filter((line) => line.kind === openBuild.build.kind))
const others = computed(() => lines.value.length - fitting.value.length)
async function take(line: Line) {
  if (await pattern.refit(line.id)) shown.value = false
}
</script>

<template>
  <v-dialog v-model="shown" max-width="560" aria-label="Refit an earlier build">
    <v-card title="Refit an earlier build">
      <v-card-text>
        <p v-if="!fitting.length">
          There is no other {{ openBuild.build.kind }} with a pattern in the workshop{{
            others ? `; ${others} of another kind` : ''
          }}.
        </p>
        <p v-else>Its levels move to where this wearer's are, and its girths change by what her aim differs.</p>
        <ul>
          <li v-for="line in fitting" :key="line.id">
            <span
              ><b>{{ line.name }}</b
              ><small>{{
                [
                  line.wearer && `for ${line.wearer}`,
                  line.version ? `version ${line.version}` : 'draft',
                  line.fittings && `${line.fittings} tried on`,
                ]
                  .filter(Boolean)
                  .join(', ')
              }}</small></span
            >
            <v-btn size="small" variant="outlined" :aria-label="`Refit ${line.name}`" @click="take(line)"
              >Refit it</v-btn
            >
          </li>
        </ul>
      </v-card-text>
      <v-card-actions><v-btn @click="shown = false">Leave it</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  padding: 0;
  margin: 10px 0 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
small {
  display: block;
  color: var(--steel);
}
</style>
