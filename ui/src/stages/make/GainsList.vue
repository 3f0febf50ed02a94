<script setup lang="ts">
import { computed } from 'vue'
import { api, ofBuild } from '../../api/client'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { duration } from '../../parts/words'
import { useMakeCommands } from '../../commands/make'

// The day is in danger: which choices buy most odds. One is picked and becomes a decision.
const commands = useMakeCommands()
const thought = useThought((build) => api.GET('/api/builds/{build_id}/make/gains', ofBuild(build)), 'gains')
const { found, busy, failed } = thought
const gains = computed(() => found.value?.gains ?? [])
const percent = (share: number) => `${Math.round(100 * share)}\u00a0%`
</script>

<template>
  <section aria-label="What would save it">
    <ThinkingBar v-if="busy || failed" label="Planning each of them through" :thought="thought" />
    <p v-if="found && !gains.length" class="small">Nothing that is still open makes it quicker.</p>
    <ul v-if="!busy" class="offers">
      <li v-for="(gain, i) in gains" :key="i" :data-gain="i">
        <p>
          <b>{{ gain.title }}</b>: {{ percent(gain.before) }} → <b>{{ percent(gain.probability) }}</b>,
          {{ duration(gain.minutes) }} less.
        </p>
        <p class="soft small">{{ gain.cost }}</p>
        <v-btn size="x-small" variant="outlined" :aria-label="`Take it: ${gain.title}`" @click="commands.gain(gain)"
          >Take it</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
p {
  margin: 0 0 3px;
}
</style>
