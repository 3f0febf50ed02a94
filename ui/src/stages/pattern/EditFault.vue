<script setup lang="ts">
import { computed } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'

// The limit that the last edit met.
const openBuild = useOpenBuild()
const fault = computed(
  () =>
    Object.entries(openBuild.errors).find(
      ([at]) => at.startsWith('edit') || at.startsWith('gussets') || at === 'joined',
    )?.[1],
)
</script>

<template>
  <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
</template>

<style scoped>
.fault {
  color: var(--takein);
  margin: 8px 0;
  line-height: 1.25;
}
</style>
