<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, ofBuild } from '../../api/client'
import type { Fitting, LevelName, Outcome } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import { hardware, length, LEVEL_LABELS } from '../../parts/words'

// Rehearse on a dress stand that hides a body: lace the version on it, read it, correct, and at last cut the cloth.
const emit = defineEmits<{ seen: [fitting: Fitting] }>()
const openBuild = useOpenBuild()
const notices = useNotices()
const settings = useSettings()
const router = useRouter()
const verdict = ref<Outcome>()
const WORDS = {
  'mean gap': 'the gap is too wide or too narrow',
  tilt: 'the gap is wider at one end',
  bow: 'the gap bows',
  'stand-off': 'an edge stands off',
  pressure: 'it presses too firmly',
  closing: 'no hand could close it',
  'top edge': 'its top edge has too much room or too little',
  'bottom edge': 'its bottom edge has too much room or too little',
}
async function begin(world: 'kind' | 'harsh') {
  try {
    const line = await workshop.rehearse(openBuild.here.id, world)
    await router.push({ name: 'mockups', params: { id: line.id } })
  } catch (error) {
    notices.complain(error)
  }
}
async function lace() {
  try {
    emit('seen', await answer(api.POST('/api/builds/{build_id}/stand', ofBuild(openBuild.here.id))))
  } catch (error) {
    notices.complain(error)
  }
}
async function cut() {
  try {
    verdict.value = await answer(api.POST('/api/builds/{build_id}/stand/cut', ofBuild(openBuild.here.id)))
  } catch (error) {
    notices.complain(error)
  }
}
</script>

<template>
  <section v-if="openBuild.build.rehearsal" class="rehearsal" aria-label="Rehearsal">
    <h2>Rehearsal</h2>
    <p>The dress stand hides a body that is not quite what the tape said.</p>
    <div class="acts">
      <v-btn size="small" color="primary" @click="lace">Lace it on the stand</v-btn
      ><v-btn v-if="openBuild.build.versions.length" size="small" variant="outlined" @click="cut">Cut the cloth</v-btn>
    </div>
    <v-dialog
      :model-value="!!verdict"
      width="520"
      aria-label="What came of it"
      @update:model-value="verdict = undefined"
    >
      <v-card v-if="verdict" class="verdict">
        <h1>{{ verdict.passes ? 'It fits' : 'It does not fit' }}</h1>
        <p v-if="verdict.fails.length">In the final cloth {{ verdict.fails.map((one) => WORDS[one]).join(', ') }}.</p>
        <p>
          The gap is {{ hardware(verdict.mean_gap_mm, settings.unit) }},
          {{ hardware(Math.abs(verdict.tilt_mm), settings.unit) }} wider at the
          {{ verdict.tilt_mm > 0 ? 'top' : 'bottom' }}, and bows
          {{ hardware(Math.abs(verdict.bow_mm), settings.unit) }}.
        </p>
        <table class="numbers">
          <thead>
            <tr>
              <th>girth, {{ settings.unit }}</th>
              <th class="n">the tape</th>
              <th class="n">believed</th>
              <th class="n">hidden</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="level in verdict.levels" :key="level.name">
              <td>{{ LEVEL_LABELS[level.name as LevelName] }}</td>
              <td class="n in">{{ length(level.taped_mm, settings.unit, { bare: true }) }}</td>
              <td class="n in">{{ length(level.believed_mm, settings.unit, { bare: true }) }}</td>
              <td class="n in">
                <b>{{ length(level.true_mm, settings.unit, { bare: true }) }}</b>
              </td>
            </tr>
          </tbody>
        </table>
        <v-btn color="primary" @click="verdict = undefined">Back to it</v-btn>
      </v-card>
    </v-dialog>
  </section>
  <details v-else>
    <summary>Rehearse on the dress stand</summary>
    <p>
      A copy of this build with a stand whose body differs from the tape, as bodies do. Cut, lace, read, correct, and
      see what came of it.
    </p>
    <div class="acts">
      <v-btn size="small" variant="outlined" @click="begin('kind')">An even stand</v-btn
      ><v-btn size="small" variant="outlined" @click="begin('harsh')">A wayward stand</v-btn>
    </div>
  </details>
</template>

<style scoped>
.rehearsal {
  border: 2px dashed var(--metal);
  border-radius: 4px;
  padding: 8px 12px;
  margin: 8px 0;
}
p {
  margin: 4px 0;
  line-height: 1.3;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 8px 0 2px;
}
details {
  margin-top: 10px;
}
summary {
  cursor: pointer;
  color: var(--steel);
}
.verdict {
  padding: 20px;
  display: grid !important;
  gap: 10px;
}
h1 {
  font-size: 1.3rem;
}
</style>
