<script setup lang="ts">
import { computed } from 'vue'
import { certain } from '../../parts/certain'
import { entriesOf } from '../../parts/entries'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { tableOf, type Answers, type FittingField } from './answers'
import type { Refusals } from './refusals'

// What was taped and how it sat, level by level: a column for each girth and each word that is asked there.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{ fields: FittingField[]; refusals: Refusals }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const covered = computed(() => openBuild.plan.levels.filter((level) => level.gap_mm !== null))
const columns = computed(() =>
  props.fields
    .filter((field) => !field.in_place_of)
    .map((field) => {
      const cell = certain(entriesOf(field.cells)[0], field.label)[1]
      const amount = props.fields.find((other) => other.in_place_of?.[0] === field.field)
      return { field, words: cell.words, girth: cell.reads === 'girth', amount }
    }),
)
const table = (field: FittingField) => tableOf(answers.value, field.field)
const refused = (level: string) =>
  props.fields.map((field) => props.refusals.saidOf(field, level)).find((said) => said !== undefined)
</script>

<template>
  <table class="numbers girths" aria-label="Level by level, while it is worn">
    <thead>
      <tr>
        <th />
        <th v-for="{ field, girth } in columns" :key="field.field">
          {{ girth ? `${field.label}, ${settings.unit}` : field.label }}
        </th>
      </tr>
    </thead>
    <tbody>
      <template v-for="level in covered" :key="level.name">
        <tr>
          <td>{{ level.label }}</td>
          <template v-for="{ field, words, girth, amount } in columns" :key="field.field">
            <td v-if="!words.length">
              <input
                v-model="table(field)[level.name]"
                class="in"
                :aria-label="`${level.label}, ${girth ? 'girth ' : ''}${field.label}`"
                autocomplete="off"
                :aria-invalid="!!refusals.saidOf(field, level.name)"
              />
            </td>
            <td v-else class="sat">
              <select v-model="table(field)[level.name]" :aria-label="`${level.label}, how it sat`">
                <option value="">–</option>
                <option v-for="word in words" :key="word.name" :value="word.name">{{ word.label }}</option>
              </select>
              <span v-if="amount?.in_place_of && table(field)[level.name] === amount.in_place_of[1]"
                >by
                <input v-model="table(amount)[level.name]" class="in" :aria-label="`${level.label}, ${amount.label}`" />
                {{ settings.smallUnit }}</span
              >
            </td>
          </template>
        </tr>
        <tr v-if="refused(level.name)">
          <td :colspan="columns.length + 1" class="bad" role="alert">{{ refused(level.name) }}</td>
        </tr>
      </template>
    </tbody>
  </table>
</template>

<style scoped>
.girths th {
  font-weight: 400;
}
table.girths input.in:not(.x) {
  width: 62px;
}
.sat select {
  max-width: 92px;
}
.sat span {
  white-space: nowrap;
}
</style>
