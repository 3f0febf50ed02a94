<script setup lang="ts">
import { defineAsyncComponent, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useBuild } from '../stores/build'
import { useOnBody } from '../stores/onBody'
import TheThread from '../parts/TheThread.vue'

const open = useBuild()
const route = useRoute()
const onBody = useOnBody()
const OnBody = defineAsyncComponent(() => import('../body/OnBody.vue')) // it brings a large script along
watch(
  () => route.params.id,
  (id) => typeof id === 'string' && open.open(id),
  { immediate: true },
)
</script>

<template>
  <div class="desk">
    <TheThread />
    <div v-if="open.failed" class="alone">
      <h1>This build can't be opened</h1>
      <p>{{ open.failed }}</p>
      <v-btn color="primary" to="/">To the workshop</v-btn>
    </div>
    <template v-else-if="open.latest">
      <OnBody v-if="onBody.shown" />
      <router-view v-else />
    </template>
    <div v-else class="alone" aria-busy="true">
      <v-progress-linear indeterminate color="metal" aria-label="Opening the build" />
    </div>
  </div>
</template>

<style scoped>
.desk {
  display: grid;
  grid-template-columns: 148px minmax(0, 1fr);
  height: calc(100dvh - var(--top));
}
@media (max-width: 899px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: max-content max-content;
    align-content: start;
    overflow-y: auto;
  }
}
.alone {
  padding: 32px;
}
</style>
