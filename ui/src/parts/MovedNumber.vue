<script setup lang="ts">
import { ref, watch } from 'vue'

// A number that is marked for a while when it has changed, and says what it was.
const props = defineProps<{ text: string }>()
const was = ref('')
let timer: ReturnType<typeof setTimeout> | undefined
watch(
  () => props.text,
  (_, before) => {
    was.value = before
    clearTimeout(timer)
    timer = setTimeout(() => (was.value = ''), 6000)
  },
)
</script>

<template>
  <span class="in" :class="{ moved: was }" :title="was ? `was ${was}` : undefined">{{ text }}</span>
</template>

<style scoped>
span {
  transition: background 0.6s;
  border-radius: 2px;
}
.moved {
  background: var(--marked);
  box-shadow: 0 0 0 2px var(--marked);
}
</style>
