<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '../../api/types'
import MovedNumber from '../../parts/MovedNumber.vue'
import { useSettings } from '../../stores/settings'
import { FEEL_ICON, hardware, length } from '../../parts/words'

// The final garment, level by level: what it measures worn, and how it feels there.
const props = defineProps<{ plan: Plan }>()
const settings = useSettings()
// what is tied and never drawn in has room instead of pressure
const tied = computed(() => props.plan.aim?.pull_n_per_m === 0)
const laced = computed(() => !!props.plan.lace)
const ROOM = { 'too firm': 'digs', firm: 'touches', close: 'two fingers', light: 'loose', 'stands off': 'too loose' }
// beyond what flesh gives a number says nothing more
const MOST_KPA = 20
const pressed = (kpa: number) => (kpa > MOST_KPA ? `over ${MOST_KPA}` : kpa.toFixed(1))
const rows = computed(() => props.plan.levels.filter((level) => level.gap_mm !== null))
</script>

<template>
  <table class="numbers">
    <thead>
      <tr>
        <th>Final cloth, as worn</th>
        <th class="n">body</th>
        <th class="n">sewn</th>
        <th class="n">worn</th>
        <th v-if="laced" class="n">gap</th>
        <th v-if="tied" class="n">room</th>
        <template v-else>
          <th class="n">pressure</th>
          <th class="n">at the sides</th>
        </template>
        <th class="n">feels</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="level in rows" :key="level.name">
        <td>{{ level.label }}</td>
        <td class="n in">{{ length(level.body_mm, settings.unit) }}</td>
        <td class="n in">
          <MovedNumber v-if="level.closed_mm !== null" :text="length(level.closed_mm, settings.unit)" />
        </td>
        <template v-if="level.gap_mm !== null && level.worn_mm !== null && level.pressure_kpa !== null">
          <td class="n in"><MovedNumber :text="length(level.worn_mm, settings.unit)" /></td>
          <td v-if="laced" class="n in"><MovedNumber :text="hardware(level.gap_mm, settings.unit)" /></td>
          <td v-if="tied" class="n in">
            <MovedNumber :text="hardware(level.squeezed_mm! + level.stand_off_mm! - level.body_mm, settings.unit)" />
          </td>
          <td v-else class="n">
            <MovedNumber :text="`${pressed(level.pressure_kpa)} of ${level.comfort_kpa.toFixed(1)} kPa`" />
          </td>
          <td v-if="!tied" class="n">{{ pressed(level.side_pressure_kpa ?? 0) }} kPa</td>
          <td class="n">{{ FEEL_ICON[level.feel!] }} {{ tied ? ROOM[level.feel!] : level.feel }}</td>
        </template>
      </tr>
    </tbody>
  </table>
</template>
