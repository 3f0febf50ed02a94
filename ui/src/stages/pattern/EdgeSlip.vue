<script setup lang="ts">
import { computed, ref } from 'vue'
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
const unit = computed(() => (settings.unit === 'in' ? 'in' : 'mm'))
const signed = (text: string) => withUnit(`${way.value}${text.trim()}`, unit.value)
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
    <select v-model="way" aria-label="Off or on">
      <option value="">trim off</option>
      <option value="-">leave on</option>
    </select>
    <input v-model="amount" class="in entry" :aria-label="`At ${edge}, on each half`" autocomplete="off" />
    {{ unit }} at {{ edge }}, on each half;
    <input v-model="hem" class="in entry" aria-label="At the hem" placeholder="the same" autocomplete="off" />
    {{ unit }} at the hem
    <v-btn type="submit" size="small" variant="outlined" :disabled="!amount.trim()">{{
      way ? 'Leave it on' : 'Trim it'
    }}</v-btn>
    <p class="soft small">The girth changes with it: twice, once in each half. The edge stays straight.</p>
    <EditFault />
  </form>
</template>

<style scoped>
.trim {
  line-height: 2.4;
  margin-top: 10px;
}
.entry {
  width: 76px;
}
p {
  line-height: 1.3;
  margin: 6px 0;
}
</style>
