<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// The house numbers of this build: every constant with its reason, to be changed where the maker knows better.
const openBuild = useOpenBuild()
const settings = useSettings()
const search = ref('')
const words = (name: string) => name.replace(/_(mm|kpa|n_per_m|n_m2)$/, '').replaceAll('_', ' ')
const unit = (name: string) =>
  ({ mm: 'mm', kpa: 'kPa', n_per_m: 'N/m', n_m2: 'N·m²' })[/_(mm|kpa|n_per_m|n_m2)$/.exec(name)?.[1] ?? ''] ?? ''
const mine = (name: string) => (openBuild.build.practice as unknown as Record<string, number>)[name]
const rows = computed(() =>
  settings.catalogue.numbers.filter((row) =>
    `${words(row.name)} ${row.reason}`.toLowerCase().includes(search.value.toLowerCase()),
  ),
)
function keep(name: string, text: string) {
  const value = Number(text.replace(',', '.'))
  openBuild.set(
    `practice.${name}`,
    text.trim() === '' ? rows.value.find((row) => row.name === name)?.usual : Number.isFinite(value) ? value : text,
  )
}
</script>

<template>
  <div class="numbers-page">
    <h1>House numbers of this build</h1>
    <p class="soft">Common workshop practice, not law. Empty a field to take the usual number again.</p>
    <v-text-field v-model="search" label="Look for" clearable class="search" @click:clear="search = ''" />
    <table class="numbers">
      <thead>
        <tr>
          <th>Number</th>
          <th class="n">yours</th>
          <th>in</th>
          <th class="n">usual</th>
          <th>Why</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <td>{{ words(row.name) }}</td>
          <td class="n">
            <input
              :value="mine(row.name)"
              :aria-label="words(row.name)"
              inputmode="decimal"
              :class="{ own: mine(row.name) !== row.usual }"
              @change="keep(row.name, ($event.target as HTMLInputElement).value)"
            />
            <p v-if="openBuild.errors[`practice.${row.name}`]" class="bad" role="alert">
              From {{ row.low }} to {{ row.high }}.
            </p>
          </td>
          <td class="soft">{{ unit(row.name) }}</td>
          <td class="n soft">{{ row.usual }}</td>
          <td>{{ row.reason }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.numbers-page {
  padding: 24px 32px;
  overflow-y: auto;
}
.search {
  max-width: 300px;
  margin: 8px 0 14px;
}
input {
  width: 84px;
  font: inherit;
  text-align: right;
  padding: 3px 6px;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
}
.own {
  font-weight: 700;
  border-color: var(--metal);
}
.bad {
  color: var(--takein);
  margin: 0;
  font-size: 0.88rem;
}
</style>
