<script setup lang="ts">
import type { Consequence } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { STAGES } from '../../parts/words'

// What the answers ask of the later stages, each with its reason.
const openBuild = useOpenBuild()
const label = (stage: string) => STAGES.find((one) => one.stage === stage)?.label
const make = (one: Consequence) => openBuild.edit(one.changes, `Because ${one.because}`)
</script>

<template>
  <ul class="follows">
    <li v-for="one in openBuild.here.consequences" :key="one.because + one.then">
      <p>
        <span class="why">Because {{ one.because }}:</span> {{ one.then }}.
      </p>
      <v-btn v-if="one.changes.length" size="small" variant="outlined" @click="make(one)">Make it so</v-btn>
      <router-link v-else-if="one.stage !== 'brief'" :to="{ name: one.stage }">{{ label(one.stage) }}</router-link>
    </li>
    <li v-if="!openBuild.here.consequences.length" class="soft">
      Answers on the left change what the later stages start from.
    </li>
  </ul>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
}
p {
  margin: 0 0 4px;
  line-height: 1.3;
}
.why {
  color: var(--steel);
}
a {
  color: var(--letout);
  font-size: 0.92rem;
}
</style>
