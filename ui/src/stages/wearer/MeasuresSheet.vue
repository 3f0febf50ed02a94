<script setup lang="ts">
import type { MeasuresRow } from '../../api/types'
import ReadCsv from '../../parts/ReadCsv.vue'
import { useOpenBuild } from '../../stores/openBuild'
import { answer, api, asFile } from '../../api/client'

// The measures as a sheet: saved as CSV, and read from one, in any unit.
const openBuild = useOpenBuild()
const openMeasures = (file: File) => answer(api.POST('/api/measures/csv', { body: file, ...asFile }))
async function take(good: MeasuresRow[], leave: () => void) {
  if (
    await openBuild.edit(
      good.flatMap((row) => row.changes),
      'Measures from a sheet',
    )
  )
    leave()
}
</script>

<template>
  <details class="sheet">
    <summary>As a sheet</summary>
    <ReadCsv :open="openMeasures" label="CSV of measures">
      <template #beside>
        <v-btn size="small" variant="outlined" :href="`/api/builds/${openBuild.here.id}/measures.csv`" download=""
          >Save as CSV</v-btn
        >
      </template>
      <template #default="{ good, leave }">
        <ul>
          <li v-for="row in good" :key="row.row" class="small in">{{ row.said }}</li>
        </ul>
        <v-btn size="small" color="primary" @click="take(good as MeasuresRow[], leave)"
          >Take {{ good.length === 1 ? 'it' : `these ${good.length}` }}</v-btn
        >
      </template>
    </ReadCsv>
  </details>
</template>

<style scoped>
.sheet {
  margin: 10px 0;
}
</style>
