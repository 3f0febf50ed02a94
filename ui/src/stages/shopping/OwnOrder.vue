<script setup lang="ts">
import { ref } from 'vue'
import type { OrderLine } from '../../api/types'
import { useNotices } from '../../stores/notices'
import { useShelf } from '../../stores/shelf'
import { onShelf } from '../../commands/shelf'

// What was ordered or bought in a shop of hers: where, and on which day it is here.
const props = defineProps<{ lines: OrderLine[]; today: string; shop?: string; said?: string[] }>()
const emit = defineEmits<{ done: [] }>()
const shelf = useShelf()
const notices = useNotices()
const name = ref(props.shop ?? '')
const due = ref(props.today)
const errors = ref<Record<string, string | undefined>>({})
async function keep() {
  const taken = await shelf.step(
    onShelf.order({ shop: name.value.trim(), lines: props.lines, due_on: due.value || null }),
  )
  errors.value = taken ? {} : { ...shelf.errors }
  shelf.errors = {}
  if (!taken) return
  notices.tell(`Written down: ordered from ${name.value.trim()}.`)
  emit('done')
}
</script>

<template>
  <form class="own" :data-own="shop" @submit.prevent="keep">
    <h2 v-if="shop">{{ shop }}</h2>
    <v-text-field v-else v-model="name" label="the shop" :error-messages="errors.shop" autofocus />
    <ul v-if="said">
      <li v-for="one in said" :key="one" class="small in">{{ one }}</li>
    </ul>
    <v-text-field v-model="due" type="date" label="here on" :error-messages="errors.due_on" />
    <p
      v-for="(error, at) in errors"
      v-show="!['shop', 'due_on'].includes(String(at))"
      :key="at"
      class="bad"
      role="alert"
    >
      {{ error }}
    </p>
    <v-btn type="submit" size="small" color="primary" :disabled="!name.trim() || !due">{{
      due <= today ? 'It is here' : 'It is ordered'
    }}</v-btn>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  gap: 8px;
  justify-items: start;
  border-left: 3px solid var(--metal);
  padding: 0 0 6px 10px;
  margin: 8px 0;
}
.own > :deep(.v-input) {
  width: 100%;
}
h2,
p {
  margin: 0;
}
ul {
  padding-left: 16px;
  margin: 0;
}
.bad {
  color: var(--takein);
}
</style>
