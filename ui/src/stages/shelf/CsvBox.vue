<script setup lang="ts">
import type { CsvRow } from '../../api/types'
import ReadCsv from '../../parts/ReadCsv.vue'
import { useShelf } from '../../stores/shelf'
import { answer, api, asFile } from '../../api/client'
import { onShelf } from '../../commands/shelf'

// The shelf as a sheet: saved as CSV, and put on from one.
const shelf = useShelf()
const openShelf = (file: File) => answer(api.POST('/api/shelf/csv', { body: file, ...asFile }))
async function put(good: CsvRow[], leave: () => void) {
  if (await shelf.act(onShelf.put(good.flatMap((row) => row.piece ?? [])))) leave()
}
</script>

<template>
  <section aria-label="The shelf as a sheet">
    <h2>As a sheet</h2>
    <ReadCsv :open="openShelf" label="CSV of a shelf">
      <template #beside>
        <v-btn size="small" variant="outlined" href="/api/shelf.csv" download="">Save as CSV</v-btn>
      </template>
      <template #default="{ good, leave }">
        <ul>
          <li v-for="row in good" :key="row.row" class="small in">{{ row.said }}</li>
        </ul>
        <v-btn size="small" color="primary" @click="put(good, leave)"
          >Put {{ good.length === 1 ? 'it' : `these ${good.length}` }} on the shelf</v-btn
        >
      </template>
    </ReadCsv>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
ul {
  padding-left: 16px;
  margin: 4px 0;
}
</style>
