<script setup lang="ts">
import { useTemplateRef } from 'vue'

defineProps<{ title: string; under?: string }>()
defineExpose({ focus: () => heading.value?.focus({ preventScroll: true }) })
const heading = useTemplateRef<HTMLElement>('heading')
</script>

<template>
  <aside class="slip" :aria-label="title">
    <h1 ref="heading" tabindex="-1">{{ title }}</h1>
    <p v-if="under" class="soft small under">{{ under }}</p>
    <slot />
    <div v-if="$slots.acts" class="acts"><slot name="acts" /></div>
  </aside>
</template>

<style scoped>
.slip {
  border-left: 1px solid var(--line);
  background: var(--paper);
  padding: 14px 16px 20px;
  overflow-y: auto;
  height: 100%;
  scroll-padding-bottom: 70px;
}
.acts {
  position: sticky;
  bottom: -20px;
  margin: 14px -16px -20px;
  padding: 10px 16px 14px;
  background: var(--paper);
  border-top: 1px solid var(--line);
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
h1 {
  font-size: 1.18rem;
}
h1:focus {
  outline: 0;
}
.under {
  margin: 2px 0 8px;
}
@media (max-width: 899px) {
  .slip {
    border-left: 0;
    border-top: 1px solid var(--line);
    height: auto;
    overflow: visible;
  }
  .acts {
    bottom: 0;
  }
}
</style>
