<script setup lang="ts">
import { computed, ref } from 'vue'
import { Refused } from '../api/client'
import { useSettings } from '../stores/settings'
import { shortDay } from './words'

// The hours she has on each weekday, and the days off: what every plan of days stands on.
const emit = defineEmits<{ kept: [] }>()
const settings = useSettings()
const NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const hours = computed(() => settings.house.hours)
const said = ref('')
const typed = ref<Record<number, string>>({}) // what was typed stays until it is taken
const off = ref('')
async function setHours(i: number, text: string) {
  const value = Number(text.replace(',', '.'))
  said.value = ''
  typed.value[i] = text
  if (!text.trim() || !Number.isFinite(value) || value < 0 || value > 16) {
    said.value = `${NAMES[i]}: write the hours as a number from 0 to 16.`
    return
  }
  const by = [...hours.value.by_weekday]
  by[i] = value * 60
  said.value = await keep({ by_weekday: by as typeof hours.value.by_weekday, off: hours.value.off })
  if (!said.value) delete typed.value[i]
}
/** What was said against it, or nothing. */
async function keep(now: typeof hours.value) {
  try {
    await settings.setHouse({ hours: now })
  } catch (error) {
    return error instanceof Refused ? error.trouble.sentence : 'It is not kept: Fuseau does not answer.'
  }
  emit('kept')
  return ''
}
const offSaid = ref('')
async function addOff() {
  if (!off.value || hours.value.off.includes(off.value)) return
  offSaid.value = await keep({ ...hours.value, off: [...hours.value.off, off.value].sort() })
  if (!offSaid.value) off.value = ''
}
const letOff = async (day: string) =>
  (offSaid.value = await keep({ ...hours.value, off: hours.value.off.filter((one) => one !== day) }))
</script>

<template>
  <div>
    <h2>Your hours</h2>
    <div class="hours">
      <label v-for="(name, i) in NAMES" :key="name"
        >{{ name }}
        <input
          class="entry"
          inputmode="decimal"
          :aria-label="name"
          :value="typed[i] ?? (hours.by_weekday[i] / 60).toFixed(1).replace(/\.0$/, '')"
          @input="typed[i] = ($event.target as HTMLInputElement).value"
          @change="setHours(i, ($event.target as HTMLInputElement).value)"
      /></label>
    </div>
    <p v-if="said" class="bad" role="alert">{{ said }}</p>
    <h2>Days off</h2>
    <ul class="entries">
      <li v-for="one in hours.off" :key="one">
        {{ shortDay(one) }}
        <button type="button" class="ask" :aria-label="`no day off: ${shortDay(one)}`" @click="letOff(one)">
          take out
        </button>
      </li>
    </ul>
    <form class="add" @submit.prevent="addOff">
      <v-text-field
        v-model="off"
        type="date"
        label="a day off"
        :error-messages="offSaid"
        @update:model-value="offSaid = ''"
      />
      <v-btn type="submit" size="small" variant="outlined" :disabled="!off">Add</v-btn>
    </form>
  </div>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.bad {
  color: var(--takein);
}
.hours {
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 4px;
  max-width: 420px;
}
.hours label {
  font-size: 0.8rem;
  color: var(--steel);
}
.add {
  display: flex;
  gap: 8px;
  align-items: center;
  max-width: 420px;
  margin-top: 10px;
}
p {
  margin: 3px 0;
}
</style>
