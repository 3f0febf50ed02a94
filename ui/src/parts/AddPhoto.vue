<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, asFile, Refused } from '../api/client'

// A photo chosen or taken; it is kept by the workshop, and told by its id and size.
const props = defineProps<{ label: string }>()
const emit = defineEmits<{ take: [photo: { id: string; name: string; width_px: number; height_px: number }] }>()
const said = ref('')
const busy = ref(false)
async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  said.value = ''
  busy.value = true
  try {
    const kept = await answer(
      api.POST('/api/photos', { params: { query: { name: file.name } }, body: file, ...asFile }),
    )
    emit('take', { ...kept, name: file.name.replace(/\.\w+$/, '').slice(0, 120) })
  } catch (error) {
    said.value = `${file.name}: ${error instanceof Refused ? error.trouble.sentence : 'it could not be read.'}`
  }
  busy.value = false
  input.value = ''
}
</script>

<template>
  <span class="add">
    <label class="file"
      >{{ busy ? 'Reading …' : props.label }}
      <input type="file" accept="image/jpeg,image/png,image/webp" :aria-label="props.label" @change="choose"
    /></label>
    <span v-if="said" class="bad" role="alert">{{ said }}</span>
  </span>
</template>

<style scoped>
.bad {
  color: var(--takein);
  display: block;
}
</style>
