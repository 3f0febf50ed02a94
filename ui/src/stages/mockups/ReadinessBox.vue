<script setup lang="ts">
import { computed } from 'vue'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { useOpenBuild } from '../../stores/openBuild'
import { api, ofBuild } from '../../api/client'

// Cut the cloth, or one more mock-up: the odds, and what fails most.
const thought = useThought((build) => api.GET('/api/builds/{build_id}/readiness', ofBuild(build)), 'odds')
const { found, busy, failed } = thought
const openBuild = useOpenBuild()
const TITLE = {
  'first mock-up': 'A first mock-up',
  'try it on': 'Try it on',
  'measure first': 'Measure first',
  'one more mock-up': 'One more mock-up',
  'look again': 'Look again',
  'cut the cloth': 'Cut the cloth',
  'alter it': 'Alter it',
  'wear it': 'Wear it',
}
const word = computed(() => openBuild.plan.verdict?.word ?? found.value?.advice ?? 'one more mock-up')
</script>

<template>
  <section
    v-if="found !== null || busy"
    class="ready"
    :class="busy || failed ? '' : word.replaceAll(' ', '-')"
    aria-label="Readiness"
    aria-live="polite"
  >
    <ThinkingBar v-if="busy || failed" label="Weighing the odds" :thought="thought" />
    <template v-else-if="found">
      <h2>{{ TITLE[word] }}</h2>
      <p v-if="word === 'measure first' || (word === 'look again' && found.advice !== word)">
        {{ openBuild.plan.verdict!.sentence }}
      </p>
      <p>{{ found.sentence }}</p>
      <div class="odds" aria-hidden="true"><i :style="{ width: `${found.probability * 100}%` }" /></div>
      <ul v-if="found.raises.length && word !== 'cut the cloth'" aria-label="What would raise it">
        <li v-for="raise in found.raises.slice(0, 2)" :key="raise.what">{{ raise.sentence }}</li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.ready {
  border-left: 4px solid var(--caution);
  padding: 2px 0 4px 10px;
  margin: 14px 0;
  min-height: 40px;
}
.cut-the-cloth {
  border-color: var(--settled);
}
ul {
  margin: 6px 0 0;
  padding-left: 18px;
  line-height: 1.25;
  font-size: 0.94rem;
}
h2 {
  font-size: 1.08rem;
}
p {
  margin: 2px 0 6px;
  line-height: 1.3;
}
.odds {
  height: 6px;
  background: var(--bench);
  border-radius: 3px;
  overflow: hidden;
}
.odds i {
  display: block;
  height: 100%;
  background: var(--caution);
}
.cut-the-cloth .odds i {
  background: var(--settled);
}
</style>
