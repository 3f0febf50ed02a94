<script setup lang="ts">
import { computed } from 'vue'
import { useOpenBuild } from '../stores/openBuild'
import FindingsList from './FindingsList.vue'

const openBuild = useOpenBuild()
const first = computed(() => openBuild.plan.findings.find((finding) => finding.severity === 'stop'))
const stage = computed(() => first.value?.stage ?? 'wearer')
</script>

<template>
  <div class="first">
    <h1>No pattern yet</h1>
    <p v-if="first">{{ first.sentence }}</p>
    <v-btn v-if="stage === 'wearer'" color="primary" :to="{ name: 'wearer' }">To the measures</v-btn>
    <FindingsList v-else :stages="['pattern', 'mockups']" />
  </div>
</template>

<style scoped>
.first {
  padding: 60px;
  max-width: 620px;
  display: grid;
  gap: 12px;
  justify-items: start;
  align-content: start;
}
.first p {
  margin: 0;
  font-size: 1.1rem;
}
</style>
