<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { answer, api } from '../../api/client'
import type { About } from '../../api/types'

// Which Fuseau this is, where the work lies, and under which licences its fonts and scripts come with it.
interface Shipped {
  name: string
  version: string
  kind: 'font' | 'script'
  licence: string
  text: string
}
const about = ref<About>()
const shipped = ref<Shipped[]>()
const opened = ref('')
const missing = ref(false)
const kinds = [
  { kind: 'font', title: 'Fonts' },
  { kind: 'script', title: 'Scripts' },
] as const

onMounted(async () => {
  about.value = await answer(api.GET('/api/about')).catch(() => undefined)
  try {
    const told = await fetch('/licences.json')
    shipped.value = (await told.json()) as Shipped[]
  } catch {
    missing.value = true
  }
})
</script>

<template>
  <div class="colophon">
    <h1>Fuseau {{ about?.version }}</h1>
    <p v-if="about">
      From measures to a corset that fits. Your workshop is kept
      {{ about.folder ? `in ${about.folder}` : 'on the laptop' }}; nothing of it leaves your machines, and nothing is
      asked of the network.
    </p>
    <p v-if="missing" role="status">The licences can't be shown: Fuseau does not answer.</p>
    <section v-for="{ kind, title } in kinds" :key="kind" :aria-label="title">
      <h2>{{ title }}</h2>
      <v-list v-if="shipped" density="compact">
        <template v-for="part in shipped.filter((one) => one.kind === kind)" :key="part.name">
          <v-list-item
            :title="`${part.name} ${part.version}`"
            :subtitle="part.licence"
            :aria-expanded="opened === part.name"
            @click="opened = opened === part.name ? '' : part.name"
          />
          <pre v-if="opened === part.name">{{ part.text }}</pre>
        </template>
      </v-list>
    </section>
  </div>
</template>

<style scoped>
.colophon {
  max-width: 860px;
  margin: 0 auto;
  padding: 26px 28px 60px;
  overflow-wrap: anywhere; /* a folder has no spaces */
}
section {
  margin-top: 20px;
}
pre {
  margin: 0 16px 12px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  font-size: 12px;
}
</style>
