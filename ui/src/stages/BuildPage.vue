<script setup lang="ts">
import { watch } from 'vue'
import { useRoute } from 'vue-router'
import { useDesk } from '../desk'
import TheThread from '../table/TheThread.vue'

const desk = useDesk()
const route = useRoute()
watch(
  () => route.params.id,
  (id) => typeof id === 'string' && desk.open(id),
  { immediate: true },
)
</script>

<template>
  <div class="desk">
    <TheThread />
    <div v-if="desk.failed" class="alone">
      <h1>This build can't be opened</h1>
      <p>{{ desk.failed }}</p>
      <v-btn color="primary" to="/">To the workshop</v-btn>
    </div>
    <router-view v-else-if="desk.sheet" />
    <div v-else class="alone" aria-busy="true"><v-progress-linear indeterminate color="metal" aria-label="Opening the build" /></div>
  </div>
</template>

<style scoped>
.desk { display: grid; grid-template-columns: 148px minmax(0, 1fr); height: calc(100vh - 48px); }
.alone { padding: 32px; }
</style>
