<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, defineAsyncComponent, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useOpenBuild } from '../stores/openBuild'
import { useOnBody } from '../stores/onBody'
import { useSettings } from '../stores/settings'
import TheThread from '../parts/TheThread.vue'
import { FOR, STAGES } from '../parts/words'
import type { Stage } from '../api/types'

const openBuild = useOpenBuild()
const route = useRoute()
const onBody = useOnBody()
const OnBody = defineAsyncComponent(() => import('../body/OnBody.vue')) // it brings a large script along
watch(
  () => route.params.id,
  (id) => typeof id === 'string' && openBuild.open(id),
  { immediate: true },
)

// what a stage is for, until she has changed something in it
const settings = useSettings()
const stage = computed(() => STAGES.find((stage) => stage.stage === route.name)?.stage)
const said = computed(() => (stage.value && !settings.house.known.includes(stage.value) ? FOR[stage.value] : undefined))
const know = (stage: Stage) => settings.setHouse({ known: [...settings.house.known, stage] }).catch(() => undefined)
watch(
  () => openBuild.worked,
  () => said.value && stage.value && know(stage.value),
)
</script>

<template>
  <div class="desk">
    <TheThread />
    <div v-if="openBuild.failed" class="alone">
      <h1>This build can't be opened</h1>
      <p>{{ openBuild.failed }}</p>
      <v-btn color="primary" to="/">To the workshop</v-btn>
    </div>
    <template v-else-if="openBuild.latest">
      <OnBody v-if="onBody.shown" />
      <div v-else class="stage" :class="{ told: said }">
        <p v-if="said" class="for">
          {{ said }}
          <button type="button" aria-label="I know what it is for" title="I know" @click="know(stage!)">
            <v-icon :icon="mdiClose" size="small" />
          </button>
        </p>
        <router-view />
      </div>
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
.stage {
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  min-height: 0;
  min-width: 0;
}
.stage.told {
  grid-template-rows: max-content minmax(0, 1fr);
}
.for {
  margin: 0;
  padding: 3px 6px 3px 16px;
  background: var(--marked);
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}
.for button {
  color: inherit;
  flex: none;
}
.alone {
  padding: 32px;
}
</style>
