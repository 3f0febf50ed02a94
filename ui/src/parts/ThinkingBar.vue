<script setup lang="ts">
import type { Thought } from './useThought'

// How far something is that takes long, and the way to stop it; once stopped, the way to ask again.
const props = defineProps<{ label: string; thought: Thought }>()
const { share, inLine, failed, ask, stop } = props.thought
</script>

<template>
  <p v-if="failed" class="thinking" role="status">
    {{ failed }} <v-btn size="x-small" variant="outlined" @click="ask">Work it out</v-btn>
  </p>
  <div v-else class="thinking" aria-busy="true">
    <v-progress-linear
      :model-value="(share ?? 0) * 100"
      :indeterminate="share === null || share === 0"
      color="metal"
      :aria-label="label"
    />
    <span class="soft small">{{ inLine ? 'In line behind other work' : label }}</span>
    <v-btn size="x-small" variant="text" @click="stop">Stop</v-btn>
  </div>
</template>

<style scoped>
.thinking {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 30px;
  margin: 4px 0;
}
.thinking :deep(.v-progress-linear) {
  flex: 1;
  min-width: 60px;
  width: auto;
}
</style>
