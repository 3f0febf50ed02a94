<script setup lang="ts">
import type { Consequence } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { STAGES } from '../../parts/words'

// What the answers ask of the later stages, each with its reason.
const openBuild = useOpenBuild()
const label = (stage: string) => STAGES.find((one) => one.stage === stage)?.label
const make = (consequence: Consequence) => openBuild.edit(consequence.changes, `Because ${consequence.because}`)
</script>

<template>
  <ul class="follows">
    <li v-for="consequence in openBuild.here.consequences" :key="consequence.because + consequence.then">
      <p>
        <span class="why">Because {{ consequence.because }}:</span> {{ consequence.then }}.
      </p>
      <v-btn v-if="consequence.changes.length" size="small" variant="outlined" @click="make(consequence)"
        >Make it so</v-btn
      >
      <router-link v-else-if="consequence.stage !== 'brief'" :to="{ name: consequence.stage }">{{
        label(consequence.stage)
      }}</router-link>
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
