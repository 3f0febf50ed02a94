<script setup lang="ts">
import { computed } from 'vue'
import { certain } from '../../parts/certain'
import { valuesOf } from '../../parts/entries'
import { valueOf, type Answers, type FittingField } from './answers'
import type { Refusals } from './refusals'

// What is told in words, and what is counted.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{ fields: FittingField[]; refusals: Refusals }>()
const of = (reads: string, lines?: boolean) =>
  props.fields.filter((field) => {
    const cell = certain(valuesOf(field.cells)[0], field.label)
    return cell.reads === reads && (lines === undefined || cell.lines === lines)
  })
const short = computed(() => of('text', false))
const long = computed(() => of('text', true))
const counted = computed(() => of('amount'))
const written = (field: FittingField) => valueOf(answers.value, field.field)
const write = (field: FittingField, text: string) => (answers.value[field.field] = text)
const typed = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <template v-for="field in short" :key="field.field">
    <label class="line"
      ><span>{{ field.label }}</span
      ><input class="text" :value="written(field)" :aria-label="field.label" @input="write(field, typed($event))"
    /></label>
    <p v-if="refusals.said(field.field)" class="bad" role="alert">{{ refusals.said(field.field) }}</p>
  </template>
  <v-textarea
    v-for="field in long"
    :key="field.field"
    :model-value="written(field)"
    :label="field.label"
    :error-messages="refusals.said(field.field)"
    rows="2"
    auto-grow
    @update:model-value="(text) => write(field, text)"
  />
  <div class="cost">
    <label v-for="field in counted" :key="field.field"
      >{{ field.label }}
      <input
        class="in short"
        :value="written(field)"
        :aria-label="field.label"
        :aria-invalid="!!refusals.said(field.field)"
        inputmode="decimal"
        @input="write(field, typed($event))"
    /></label>
  </div>
  <p v-for="field in counted" v-show="refusals.said(field.field)" :key="field.field" class="bad" role="alert">
    {{ refusals.said(field.field) }}
  </p>
</template>

<style scoped>
.line {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
}
.line span {
  flex: none;
}
.cost {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
}
</style>
