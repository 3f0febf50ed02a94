<script setup lang="ts">
import { computed } from 'vue'
import { api } from '../../api/client'
import type { WayOut } from '../../api/types'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { useThought } from '../../parts/useThought'
import { length } from '../../parts/words'
import { useCutCommands } from '../../commands/cut'
import { useSettings } from '../../stores/settings'

// Not enough of a cloth: what would help, alone and in pairs, and what each costs. One is picked and is a decision.
const props = defineProps<{ cloth: string; label: string }>()
const emit = defineEmits<{ taken: [] }>()
const cut = useCutCommands()
const settings = useSettings()
const thought = useThought(
  (build_id) =>
    api.GET('/api/builds/{build_id}/cut/{cloth}/ways', { params: { path: { build_id, cloth: props.cloth } } }),
  'ways',
)
const { found, busy, failed } = thought
const ways = computed(() => found.value?.ways ?? [])
const none = computed(() => !!found.value && !ways.value.length)
const after = (way: WayOut) =>
  way.fits ? 'then it is enough' : `then ${length(way.short_mm, settings.unit)} are lacking`

async function take(way: WayOut) {
  const label = `${props.label}: ${way.said.join(', and ').toLowerCase()}`
  const given = { changes: way.changes, edits: way.edits, label }
  if (await cut.takeWay(props.cloth, given)) emit('taken')
}
</script>

<template>
  <section aria-label="Ways out">
    <ThinkingBar v-if="busy || failed" label="Trying what would help" :thought="thought" />
    <p v-if="none" class="small">Nothing that was tried makes it shorter by more than a few millimetres.</p>
    <ul v-if="!busy" class="offers">
      <li v-for="(way, i) in ways" :key="i" :class="{ fits: way.fits }" :data-way="i">
        <p>
          <b>{{ way.said.join(', and ') }}</b><span class="in" :class="way.fits ? 'good' : 'soft'"
            >: {{ after(way) }}.</span
          >
        </p>
        <p class="soft small">{{ way.costs.join(' ') }}</p>
        <v-btn size="x-small" variant="outlined" :aria-label="`Take it: ${way.said.join(', and ')}`" @click="take(way)"
          >Take it</v-btn
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li.fits {
  border-left-color: var(--settled);
}
p {
  margin: 0 0 3px;
}
.good {
  color: var(--settled);
}
</style>
