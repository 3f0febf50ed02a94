<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '../api/types'
import { length, LEVEL_LABELS, LEVELS } from '../words'
import { useDesk } from '../desk'
import MovedNumber from './MovedNumber.vue'

// Widths at the stitch line, panel by panel, level by level; each row adds up to half the sewn girth.
const props = defineProps<{ plan: Plan }>()
const desk = useDesk()
const panels = computed(() => props.plan.pattern?.panels ?? [])
const half = (name: string) => panels.value.reduce((sum, panel) => sum + panel.widths_mm[name], 0)
</script>

<template>
  <table class="numbers">
    <thead>
      <tr><th>Widths, {{ desk.unit }}</th><th v-for="panel in panels" :key="panel.number" class="n">{{ panel.number }}</th><th class="n">half</th><th class="n">sewn</th></tr>
    </thead>
    <tbody>
      <tr v-for="name in LEVELS" :key="name">
        <td>{{ LEVEL_LABELS[name] }}</td>
        <td v-for="panel in panels" :key="panel.number" class="n"><MovedNumber :text="length(panel.widths_mm[name], desk.unit, { bare: true })" /></td>
        <td class="n"><MovedNumber :text="length(half(name), desk.unit, { bare: true })" /></td>
        <td class="n"><b><MovedNumber :text="length(2 * half(name), desk.unit, { bare: true })" /></b></td>
      </tr>
    </tbody>
  </table>
</template>
