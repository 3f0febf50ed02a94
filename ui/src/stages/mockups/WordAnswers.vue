<script setup lang="ts">
import { certain } from '../../parts/certain'
import { valuesOf } from '../../parts/entries'
import { tableOf, type Answers, type FittingField } from './answers'
import type { Refusals } from './refusals'

// A word for each thing that is asked, such as how she sat and bent in it.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{ field: FittingField; refusals: Refusals }>()
const words = certain(valuesOf(props.field.cells)[0], props.field.label).words
const table = () => tableOf(answers.value, props.field.field)
</script>

<template>
  <h2>{{ field.label }}</h2>
  <div class="tests">
    <label v-for="known in field.keys" :key="known.name"
      ><span>{{ known.label }}</span>
      <select v-model="table()[known.name]" :aria-label="`${field.label} ${known.label}`">
        <option value="">–</option>
        <option v-for="word in words" :key="word.name" :value="word.name">{{ word.label }}</option>
      </select>
      <span v-if="refusals.saidOf(field, known.name)" class="bad" role="alert">{{
        refusals.saidOf(field, known.name)
      }}</span></label
    >
  </div>
</template>

<style scoped>
h2 {
  font-size: 1rem;
  margin-top: 8px;
}
.tests {
  display: grid;
  gap: 5px;
  grid-template-columns: 1fr 1fr;
  column-gap: 16px;
}
.tests label {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
}
</style>
