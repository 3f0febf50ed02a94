<script setup lang="ts" generic="Row extends { row: number; said: string; fault?: string | null }">
import { computed, ref, type Ref } from 'vue'
import { Refused } from '../api/client'

// A sheet that is read: what can't be read is told row by row before anything is done with the rest.
const props = defineProps<{ open: (file: File) => Promise<{ rows: Row[] }>; label: string }>()
defineSlots<{ beside(): unknown; default(given: { good: Row[]; leave: () => void }): unknown }>()
const rows = ref() as Ref<Row[] | undefined>
const said = ref('')
const good = computed(() => (rows.value ?? []).filter((row) => !row.fault))
const bad = computed(() => (rows.value ?? []).filter((row) => row.fault))
function leave() {
  rows.value = undefined
}
async function read(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  said.value = ''
  leave()
  try {
    rows.value = (await props.open(file)).rows
    if (!rows.value.length) said.value = `${file.name}: there is no row under its headings.`
  } catch (error) {
    said.value = `${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`
  }
  input.value = ''
}
</script>

<template>
  <div class="read">
    <div class="acts">
      <slot name="beside" />
      <label class="file"
        >Read a CSV <input type="file" accept=".csv,text/csv" :aria-label="label" @change="read"
      /></label>
    </div>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
    <template v-if="rows?.length">
      <p v-if="bad.length" class="bad">{{ bad.length === 1 ? 'One row' : `${bad.length} rows` }} can’t be read:</p>
      <ul v-if="bad.length">
        <li v-for="row in bad" :key="row.row" class="bad small">row {{ row.row }}, {{ row.said }}: {{ row.fault }}</li>
      </ul>
      <slot v-if="good.length" :good="good" :leave="leave" />
      <v-btn size="small" variant="text" @click="leave">Leave it</v-btn>
    </template>
  </div>
</template>

<style scoped>
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
