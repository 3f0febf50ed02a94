<script setup lang="ts">
import { computed } from 'vue'
import type { ByShelf, Change } from '../../api/types'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { length } from '../../parts/words'
import { useBuild } from '../../stores/build'
import { useSettings } from '../../stores/settings'

// What the shelf would give for this garment: a busk, bones, a hem as deep as its cloth allows; taken with one press.
const open = useBuild()
const settings = useSettings()
const thought = useThought<ByShelf>('by-shelf', 'by shelf')
const { found, busy, failed } = thought
const none = computed(() => !!found.value && !found.value.cloths.length && !found.value.busks.length)
const hem = (mm: number | null | undefined) => {
  if (mm == null) return 'not enough, however high the hem'
  if (!mm) return 'enough for this hem, and for none deeper'
  const by = length(Math.abs(mm), settings.unit)
  return mm > 0 ? `enough for a hem ${by} deeper` : `enough if the hem is ${by} higher`
}
const deeper = (one: ByShelf['cloths'][number]) =>
  open.step(`cut/${one.cloth}/ways`, {
    changes: [],
    edits: one.edits,
    label: `The hem as ${one.label} allows`,
  })
</script>

<template>
  <section aria-label="By what there is">
    <ThinkingBar v-if="busy || failed" label="Looking through the shelf" :thought="thought" />
    <p v-if="none" class="small">The shelf has neither cloth nor busk for this one.</p>
    <table v-if="found && !busy" class="numbers">
      <tbody>
        <tr v-for="one in found.cloths" :key="one.cloth">
          <td>{{ one.label }}</td>
          <td class="in">
            {{ hem(one.hem_mm) }}<template v-if="one.panels.length">; for {{ one.panels.join(', ') }} panels</template>
          </td>
          <td>
            <v-btn
              v-if="one.edits.length"
              size="x-small"
              variant="outlined"
              :aria-label="`Take it: the hem as ${one.label} allows`"
              @click="deeper(one)"
              >Take it</v-btn
            >
          </td>
        </tr>
        <tr v-for="one in found.busks" :key="one.stock">
          <td>{{ one.label }}</td>
          <td>{{ one.chosen ? 'the one that is planned' : one.fits ? 'fits' : 'too long for this front' }}</td>
          <td>
            <v-btn
              v-if="one.fits && !one.chosen"
              size="x-small"
              variant="outlined"
              :aria-label="`Take it: ${one.label}`"
              @click="open.edit(one.changes as Change[], `The ${one.label} from the shelf`)"
              >Take it</v-btn
            >
          </td>
        </tr>
        <tr v-for="one in found.schools" :key="one.name">
          <td>{{ one.name }}</td>
          <td>{{ one.there }} of {{ one.of }} bones lie here</td>
          <td>
            <v-btn
              v-if="one.there && !one.chosen"
              size="x-small"
              variant="outlined"
              :aria-label="`Take it: bones ${one.name}`"
              @click="open.edit(one.changes as Change[], `Bones: ${one.name}`)"
              >Take it</v-btn
            >
            <span v-else-if="one.chosen" class="soft small">planned</span>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
td {
  vertical-align: top;
}
</style>
