<script setup lang="ts">
defineProps<{ title: string; under?: string }>()
</script>

<template>
  <aside class="slip" :aria-label="title">
    <h2>{{ title }}</h2>
    <p v-if="under" class="soft small under">{{ under }}</p>
    <slot />
  </aside>
</template>

<style scoped>
.slip { border-left: 1px solid var(--line); background: var(--paper); padding: 14px 16px 20px; overflow-y: auto; height: 100%; }
.under { margin: 2px 0 8px; }
</style>
