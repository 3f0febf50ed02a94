<script setup lang="ts">
import { ref } from 'vue'
import type { PatternEdit } from '../../api/types'
import { useSettings } from '../../stores/settings'
import { withUnit } from '../../parts/words'
import EditFault from './EditFault.vue'

// CF or CB of each half: so much trimmed off it, or left on, all along or another amount at the hem.
const props = defineProps<{ edge: 'CB' | 'CF' }>()
const emit = defineEmits<{ edit: [edit: PatternEdit] }>()
const settings = useSettings()
const amount = ref('')
const hem = ref('')
const way = ref<'' | '-'>('')
const signed = (text: string) => withUnit(`${way.value}${text.trim()}`, settings.smallUnit)
function make() {
  if (!amount.value.trim()) return
  emit('edit', {
    kind: 'trim',
    edge: props.edge,
    amount_mm: signed(amount.value),
    hem_mm: hem.value.trim() ? signed(hem.value) : null,
  })
  amount.value = hem.value = ''
}
</script>

<template>
  <form class="trim" @submit.prevent="make">
    <v-btn-toggle v-model="way" mandatory aria-label="Off or on" class="wide">
      <v-btn value="" size="small">trim off</v-btn><v-btn value="-" size="small">leave on</v-btn>
    </v-btn-toggle>
    <div class="two">
      <label
        >on each half, {{ settings.smallUnit }}
        <input v-model="amount" class="in entry" :aria-label="`At ${edge}, on each half`" autocomplete="off"
      /></label>
      <label
        >at the hem, {{ settings.smallUnit }}
        <input v-model="hem" class="in entry" aria-label="At the hem" placeholder="the same" autocomplete="off"
      /></label>
    </div>
    <v-btn type="submit" size="small" variant="outlined" :disabled="!amount.trim()">{{
      way ? 'Leave it on' : 'Trim it'
    }}</v-btn>
    <p class="soft small">The girth changes with it: twice, once in each half. The edge stays straight.</p>
    <EditFault />
  </form>
</template>

<style scoped>
.trim {
  display: grid;
  gap: 10px;
  margin-top: 10px;
  justify-items: start;
}
.wide {
  width: 100%;
}
.wide :deep(.v-btn) {
  flex: 1;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  width: 100%;
}
label {
  font-size: 0.85rem;
  color: var(--steel);
}
.entry {
  width: 100%;
}
p {
  margin: 0;
}
</style>
