<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, Refused } from '../api/client'

// A workshop full of made-up builds, beside her own: nothing of it comes into hers.
const busy = ref(false)
const said = ref('')
const url = ref('')
async function start() {
  busy.value = true
  said.value = ''
  try {
    url.value = (await answer(api.POST('/api/demo'))).url
  } catch (error) {
    said.value = error instanceof Refused ? error.trouble.sentence : String(error)
  }
  busy.value = false
}
</script>

<template>
  <span class="demo">
    <v-btn v-if="url" :href="url" target="_blank" rel="noopener" variant="outlined">Go to the demo workshop</v-btn>
    <v-btn v-else variant="outlined" :loading="busy" @click="start">Open the demo workshop</v-btn>
    <span v-if="busy" class="soft small" role="status">It is being filled: some seconds.</span>
    <span v-else-if="url" class="soft small" role="status">It is ready, at {{ url }}, apart from yours.</span>
    <span v-if="said" class="bad" role="alert">{{ said }}</span>
  </span>
</template>

<style scoped>
.demo {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
}
.bad {
  color: var(--takein);
}
</style>
