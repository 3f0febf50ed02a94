<script setup lang="ts">
import { computed } from 'vue'
import type { ByShelf, Change } from '../../api/types'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { length } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { api, ofBuild } from '../../api/client'
import { useCutCommands } from '../../commands/cut'

// What the shelf would give for this garment: a busk, bones, a hem as deep as its cloth allows; taken with one press.
const openBuild = useOpenBuild()
const settings = useSettings()
const cut = useCutCommands()
const thought = useThought((build) => api.GET('/api/builds/{build_id}/by-shelf', ofBuild(build)), 'by shelf')
const { found, busy, failed } = thought
const none = computed(() => !!found.value && !found.value.cloths.length && !found.value.busks.length)
const hem = (mm: number | null | undefined) => {
  if (mm == null) return 'not enough, and a higher hem does not help'
  if (!mm) return 'enough for this hem, and for none deeper'
  const by = length(Math.abs(mm), settings.unit)
  return mm > 0 ? `enough for a hem ${by} deeper` : `enough if the hem is ${by} higher`
}
interface Row {
  name: string
  said: string
  take?: { label: string; run: () => void }
}
/** Cloth, busks and schools alike: what it is, what it gives, and taking it where it is not planned so already. */
const rows = computed<Row[]>(() => {
  const { cloths = [], busks = [], schools = [] } = found.value ?? {}
  const edit = (changes: unknown, label: string) => ({
    label,
    run: () => void openBuild.edit(changes as Change[], label),
  })
  return [
    ...cloths.map((cloth) => ({
      name: cloth.label,
      said: [hem(cloth.hem_mm), cloth.panels.length && `for ${cloth.panels.join(', ')} panels`]
        .filter(Boolean)
        .join('; '),
      take: cloth.edits.length ? deeper(cloth) : undefined,
    })),
    ...busks.map((busk) => ({
      name: busk.label,
      said: busk.chosen ? 'the one that is planned' : busk.fits ? 'fits' : 'too long for this front',
      take: busk.fits && !busk.chosen ? edit(busk.changes, `The ${busk.label} from the shelf`) : undefined,
    })),
    ...schools.map((school) => ({
      name: school.name,
      said: `${school.there} of ${school.of} bones lie here${school.chosen ? ', as planned' : ''}`,
      take: school.there && !school.chosen ? edit(school.changes, `Bones: ${school.name}`) : undefined,
    })),
  ]
})
function deeper(one: ByShelf['cloths'][number]) {
  const label = `The hem as ${one.label} allows`
  return { label, run: () => void cut.takeWay(one.cloth, { edits: one.edits, label }) }
}
</script>

<template>
  <section aria-label="By what there is">
    <ThinkingBar v-if="busy || failed" label="Looking through the shelf" :thought="thought" />
    <p v-if="none" class="small">The shelf has neither cloth nor busk for this one.</p>
    <table v-if="found && !busy" class="numbers">
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <td>{{ row.name }}</td>
          <td class="in">{{ row.said }}</td>
          <td>
            <v-btn
              v-if="row.take"
              size="x-small"
              variant="outlined"
              :aria-label="`Take it: ${row.take.label}`"
              @click="row.take.run"
              >Take it</v-btn
            >
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
