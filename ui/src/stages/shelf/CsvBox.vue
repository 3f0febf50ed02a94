<script setup lang="ts">
import { computed, ref } from 'vue'
import { Refused, sendFile } from '../../api/client'
import type { CsvRow } from '../../api/types'
import { useShelf } from '../../stores/shelf'

// The shelf as a sheet: saved as CSV, and read from one; what can't be read is told before anything is put there.
const shelf = useShelf()
const rows = ref<CsvRow[]>()
const said = ref('')
const good = computed(() => (rows.value ?? []).filter((row) => row.piece))
const bad = computed(() => (rows.value ?? []).filter((row) => row.fault))
async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  said.value = ''
  rows.value = undefined
  try {
    rows.value = (await sendFile<{ rows: CsvRow[] }>('/shelf/csv', file)).rows
    if (!rows.value.length) said.value = `${file.name}: there is no row under its headings.`
  } catch (error) {
    said.value = `${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`
  }
  input.value = ''
}
async function put() {
  if (await shelf.act('/shelf/pieces', { pieces: good.value.map((row) => row.piece) })) rows.value = undefined
}
</script>

<template>
  <section aria-label="The shelf as a sheet">
    <h2>As a sheet</h2>
    <div class="acts">
      <v-btn size="small" variant="outlined" href="/api/shelf.csv" download="">Save as CSV</v-btn>
      <label class="file"
        >Read a CSV <input type="file" accept=".csv,text/csv" aria-label="CSV of a shelf" @change="read"
      /></label>
    </div>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
    <template v-if="rows?.length">
      <p v-if="bad.length" class="bad">{{ bad.length === 1 ? 'One row' : `${bad.length} rows` }} can’t be read:</p>
      <ul>
        <li v-for="row in bad" :key="row.row" class="bad small">row {{ row.row }}, {{ row.said }}: {{ row.fault }}</li>
        <li v-for="row in good" :key="row.row" class="small in">{{ row.said }}</li>
      </ul>
      <v-btn v-if="good.length" size="small" color="primary" @click="put"
        >Put {{ good.length === 1 ? 'it' : `these ${good.length}` }} on the shelf</v-btn
      >
      <v-btn size="small" variant="text" @click="rows = undefined">Leave it</v-btn>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.acts {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
ul {
  padding-left: 16px;
  margin: 4px 0;
}
.bad {
  color: var(--takein);
}
p {
  margin: 4px 0;
}
</style>
