<script setup lang="ts">
import { computed } from 'vue'
import { certain } from '../../parts/certain'
import { valuesOf } from '../../parts/entries'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { byOf, tableOf, valueOf, wayOf, type Answers, type FittingField } from './answers'
import type { Refusals } from './refusals'

// What may be off either way, and by how much: edges at their places, the waist, the side seam.
const answers = defineModel<Answers>({ required: true })
const props = defineProps<{ fields: FittingField[]; refusals: Refusals }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const whole = computed(() => openBuild.pattern.zero === 'waist')
const rows = computed(() =>
  props.fields.flatMap((field) => {
    const ways = certain(valuesOf(field.cells).find((cell) => cell.ways)?.ways, field.label)
    if (!field.listed)
      return [
        {
          label: field.label,
          ways,
          written: valueOf(answers.value, field.field),
          write: (to: string) => (answers.value[field.field] = to),
          refused: props.refusals.said(field.field),
        },
      ]
    const table = tableOf(answers.value, field.field)
    return field.keys
      .filter((known) => whole.value || !known.below_zero_line)
      .map((known) => ({
        label: known.label,
        ways,
        written: table[known.name] ?? '',
        write: (to: string) => (table[known.name] = to),
        refused: props.refusals.saidOf(field, known.name),
      }))
  }),
)
</script>

<template>
  <div class="pairs">
    <template v-for="row in rows" :key="row.label">
      <label
        ><span>{{ row.label }}</span>
        <span
          ><select
            :value="wayOf(row.written)"
            :aria-label="row.label"
            @change="
              ($event.target as HTMLSelectElement).value
                ? row.write(($event.target as HTMLSelectElement).value + byOf(row.written))
                : row.write('')
            "
          >
            <option value="">{{ row.ways.even }}</option>
            <option value="+">{{ row.ways.above }}</option>
            <option value="-">{{ row.ways.below }}</option></select
          ><template v-if="row.written">
            by
            <input
              :value="byOf(row.written)"
              class="in short"
              :aria-label="`${row.label}, by`"
              :aria-invalid="!!row.refused"
              @input="row.write(wayOf(row.written) + ($event.target as HTMLInputElement).value)"
            />
            {{ settings.smallUnit }}</template
          ></span
        ></label
      >
      <p v-if="row.refused" class="bad" role="alert">{{ row.refused }}</p>
    </template>
  </div>
</template>

<style scoped>
.pairs {
  display: grid;
  gap: 5px;
}
.pairs label {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
}
</style>
