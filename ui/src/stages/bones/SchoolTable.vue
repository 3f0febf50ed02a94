<script setup lang="ts">
import { computed } from 'vue'
import type { SchoolEffect } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { useSettings } from '../../stores/settings'
import { hardware } from '../../parts/words'
import { api, ofBuild } from '../../api/client'

// The schools beside each other: each planned through to the gap, so that a choice shows what it costs.
const openBuild = useOpenBuild()
const settings = useSettings()
const thought = useThought((build) => api.GET('/api/builds/{build_id}/bones/schools', ofBuild(build)), 'schools')
const { found: answer, busy, failed } = thought
const found = computed(() => answer.value ?? [])
const SHORT: Record<string, string | undefined> = { 'as chosen': 'yours', 'all steel': 'steel', synthetic: 'synth.' }
type Row = { what: string; of: (one: SchoolEffect) => string }
const why = computed(() => {
  const said = found.value.find((one) => one.chosen)?.why ?? ''
  return said.charAt(0).toUpperCase() + said.slice(1)
})
const PARTS = ['front', 'sides', 'back']
const ROWS: Row[] = [
  { what: 'gap bows', of: (one) => hardware(Math.abs(one.bow_mm), settings.unit) },
  { what: 'front', of: (one) => one.boning.stiffness.front.toFixed(2) },
  { what: 'sides', of: (one) => one.boning.stiffness.side.toFixed(2) },
  { what: 'back', of: (one) => one.boning.stiffness.back.toFixed(2) },
  { what: 'grams', of: (one) => String(Math.round(one.boning.grams)) },
  { what: 'price', of: (one) => one.boning.price.toFixed(1) },
  { what: 'minutes', of: (one) => String(Math.round(one.boning.minutes)) },
]
</script>

<template>
  <section aria-label="Schools side by side" :aria-busy="busy">
    <ThinkingBar v-if="(busy && !found.length) || failed" label="Working the schools out" :thought="thought" />
    <table v-if="found.length" class="numbers schools" :class="{ stale: busy }">
      <thead>
        <tr>
          <td></td>
          <th v-for="one in found" :key="one.name" class="n">
            <button
              type="button"
              :disabled="!one.changes.length"
              :class="{ on: one.chosen }"
              :aria-pressed="one.chosen"
              :title="one.why"
              :data-school="one.name"
              :aria-label="SHORT[one.name] ? `${SHORT[one.name]}: ${one.name}` : one.name"
              @click="openBuild.edit(one.changes as { at: string; value: unknown }[], `Bones: ${one.name}`)"
            >
              {{ SHORT[one.name] ?? one.name }}
            </button>
          </th>
        </tr>
      </thead>
      <tbody>
        <template v-for="row in ROWS" :key="row.what">
          <tr v-if="row.what === 'front'">
            <th :colspan="found.length + 1" scope="rowgroup" class="soft">stiffness, N·m</th>
          </tr>
          <tr>
            <td :class="{ part: PARTS.includes(row.what) }">{{ row.what }}</td>
            <td
              v-for="one in found"
              :key="one.name"
              class="n in"
              :class="{ on: one.chosen }"
              :data-cell="`${one.name} ${row.what}`"
            >
              {{ row.of(one) }}
            </td>
          </tr>
        </template>
      </tbody>
    </table>
    <p v-if="found.length" class="soft small">{{ why }}.</p>
  </section>
</template>

<style scoped>
.schools {
  width: 100%;
  table-layout: fixed;
  font-size: 0.86rem;
}
.schools th,
.schools td {
  padding: 2px 1px;
  white-space: nowrap;
}
.schools thead td {
  width: 64px;
}
.schools tbody th {
  font-weight: 400;
  text-align: left;
}
.schools .part {
  padding-left: 10px;
}
.schools button {
  font: inherit;
  font-weight: 600;
  color: var(--letout);
  text-decoration: underline dotted;
}
.schools button:disabled {
  color: var(--ink);
  text-decoration: none;
}
.schools button.on {
  color: var(--ink);
  text-decoration: none;
}
td.on {
  background: var(--marked);
  font-weight: 650;
}
.stale {
  opacity: 0.55;
}
p {
  margin: 3px 0 0;
}
</style>
