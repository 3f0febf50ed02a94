<script setup lang="ts">
import { ref, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { FreeRooms } from '../../api/types'
import { hardware } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// What is free between channels, holes and seams, and on which panels a motif of a size has room.
const openBuild = useOpenBuild()
const settings = useSettings()
const wide = ref('')
const high = ref('')
const room = ref<FreeRooms>()
const said = ref('')
async function look() {
  const query = { wide: wide.value.trim() || undefined, high: high.value.trim() || undefined }
  try {
    room.value = await answer(
      api.GET('/api/builds/{build_id}/trims/room', { params: { ...ofBuild(openBuild.here.id).params, query } }),
    )
    said.value = ''
  } catch (error) {
    said.value = error instanceof Refused ? (error.trouble.faults[0]?.sentence ?? error.trouble.sentence) : ''
  }
}
watch(
  () => openBuild.latest?.revision,
  () => {
    room.value = undefined
  },
)
</script>

<template>
  <section aria-label="Room for a motif">
    <h2>Room for a motif</h2>
    <form class="motif" @submit.prevent="look">
      <v-text-field
        v-model="wide"
        :label="`wide, ${settings.unit}`"
        placeholder="4"
        persistent-placeholder
        maxlength="20"
      />
      <v-text-field
        v-model="high"
        :label="`high, ${settings.unit}`"
        placeholder="4"
        persistent-placeholder
        maxlength="20"
      />
      <v-btn type="submit" size="small" variant="outlined">Look</v-btn>
    </form>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
    <template v-if="room">
      <p>
        {{
          room.fits.length
            ? `It fits on ${room.fits.length === 1 ? 'panel' : 'panels'} ${room.fits.join(', ')} of each half.`
            : 'It fits on no panel.'
        }}
      </p>
      <table class="numbers" aria-label="Free on each panel">
        <thead>
          <tr>
            <th>panel</th>
            <th class="n">free</th>
            <th class="n">of</th>
            <th class="n">widest square</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in room.rooms" :key="one.panel">
            <td>{{ one.panel }}</td>
            <td class="n">{{ Math.round(one.free_cm2) }} cm²</td>
            <td class="n soft">{{ Math.round(one.whole_cm2) }}</td>
            <td class="n in">{{ hardware(one.widest_mm, settings.unit) }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.motif {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 8px;
  align-items: center;
}
p {
  margin: 6px 0;
}
.bad {
  color: var(--takein);
}
</style>
