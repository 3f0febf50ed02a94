<script setup lang="ts">
import type { Change, MeasuresRow } from '../../api/types'
import ReadCsv from '../../parts/ReadCsv.vue'
import { useBuild } from '../../stores/build'

// The measures as a sheet: saved as CSV, and read from one, in any unit.
const open = useBuild()
async function take(good: MeasuresRow[], leave: () => void) {
  if (
    await open.edit(
      good.flatMap((row) => row.changes as Change[]),
      'Measures from a sheet',
    )
  )
    leave()
}
</script>

<template>
  <details class="sheet">
    <summary>As a sheet</summary>
    <ReadCsv path="/measures/csv" label="CSV of measures">
      <template #beside>
        <v-btn size="small" variant="outlined" :href="`/api/builds/${open.latest!.id}/measures.csv`" download=""
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
