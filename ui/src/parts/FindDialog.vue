<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answer, api } from '../api/client'
import type { Place } from '../api/types'
import { STAGES } from './words'

// Everything by its words: builds, wearers, the shelf, finished garments, and the pages.
const shown = defineModel<boolean>({ required: true })
const router = useRouter()
const route = useRoute()
const words = ref('')
const found = ref<Place[]>([])
const at = ref(0)
const failed = ref(false)
const field = useTemplateRef<HTMLInputElement>('field')
let asked: AbortController | undefined

const PLACES = [
  { name: 'Builds', about: 'the workshop', to: '/' },
  { name: 'Today', about: 'every build on your hours', to: '/today' },
  { name: 'Shelf', about: 'cloth, bones and hardware', to: '/shelf' },
  { name: 'Shopping', about: 'what to buy by when', to: '/shopping' },
  { name: 'Cards', about: 'finished garments', to: '/cards' },
  { name: 'Words of the trade', about: 'each with a drawing', to: '/words' },
  { name: 'Settings', about: 'unit, paper, hours, devices, backup', to: '/settings' },
  { name: 'A build step by step', about: 'from the picture to paper', to: '/first' },
  { name: 'How it computes', about: 'formulas and where they come from', to: '/how' },
  { name: 'About', about: 'version, folder, licences', to: '/about' },
]
interface Hit {
  key: string
  name: string
  about: string
  to: string
}
const KINDS: Record<Place['kind'], string> = {
  build: 'build',
  wearer: 'wearer',
  shelf: 'on the shelf',
  card: 'finished',
}
const placeOf = (place: Place): Hit => ({
  key: `${place.kind} ${place.id}`,
  name: place.name,
  about: [KINDS[place.kind], place.about].filter(Boolean).join(' · '),
  to:
    place.kind === 'build'
      ? `/build/${place.id}/brief`
      : place.kind === 'card'
        ? `/build/${place.id}/record`
        : place.kind === 'shelf'
          ? '/shelf'
          : place.build
            ? `/build/${place.build}/wearer`
            : '/',
})
const begins = (text: string) =>
  words.value
    .toLowerCase()
    .split(/\s+/)
    .every((word) => ` ${text.toLowerCase()}`.includes(` ${word}`))
const pages = computed<Hit[]>(() => {
  const stages = route.params.id
    ? STAGES.map((stage) => ({
        name: stage.label,
        about: 'of this build',
        to: `/build/${String(route.params.id)}/${stage.stage}`,
      }))
    : []
  return [...stages, ...PLACES]
    .filter((stage) => begins(`${stage.name} ${stage.about}`))
    .map((stage) => ({ key: stage.to, ...stage }))
})
const trade = ref<Hit[]>([]) // the words of the trade, brought along once something is looked for
const hits = computed<Hit[]>(() =>
  words.value.trim()
    ? [
        ...pages.value.slice(0, 4),
        ...found.value.map(placeOf),
        ...trade.value.filter((one) => begins(one.name)).slice(0, 4),
      ]
    : pages.value,
)
watch(words, async (now) => {
  at.value = 0
  asked?.abort()
  if (!now.trim()) return void (found.value = [])
  const mine = (asked = new AbortController())
  try {
    const places = await answer(api.GET('/api/find', { params: { query: { words: now } }, signal: mine.signal }))
    if (asked === mine) found.value = places
    failed.value = false
  } catch {
    if (!mine.signal.aborted) failed.value = true
  }
})
watch(shown, async (on) => {
  if (!on) return
  words.value = ''
  void import('../stages/words/words').then(({ GROUPS }) => {
    trade.value = GROUPS.flatMap((group) => group.words).map((one) => ({
      key: `word ${one.word}`,
      name: one.word,
      about: `word of the trade · ${one.means}`,
      to: `/words?find=${encodeURIComponent(one.word)}`,
    }))
  })
  await nextTick()
  field.value?.focus()
})
function go(hit: Hit | undefined) {
  if (!hit) return
  shown.value = false
  void router.push(hit.to)
}
function key(event: KeyboardEvent) {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
  if (by) at.value = Math.max(0, Math.min(hits.value.length - 1, at.value + by))
  else if (event.key === 'Enter') go(hits.value[at.value])
  else return
  event.preventDefault()
}
</script>

<template>
  <v-dialog v-model="shown" max-width="560" aria-label="Find" location="top" class="find">
    <v-card>
      <v-card-text>
        <input
          ref="field"
          v-model="words"
          class="words"
          aria-label="Find by words"
          placeholder="a build, a wearer, a cloth, a page"
          role="combobox"
          aria-expanded="true"
          aria-controls="found"
          :aria-activedescendant="hits.length ? `found-${at}` : undefined"
          autocomplete="off"
          @keydown="key"
        />
        <ul id="found" role="listbox" aria-label="Found">
          <li
            v-for="(hit, i) in hits"
            :id="`found-${i}`"
            :key="hit.key"
            role="option"
            :aria-selected="i === at"
            @click="go(hit)"
            @pointerenter="at = i"
          >
            <b>{{ hit.name }}</b> <span class="soft small">{{ hit.about }}</span>
          </li>
        </ul>
        <p v-if="failed" class="soft" role="alert">Fuseau does not answer.</p>
        <p v-else-if="!hits.length" class="soft" role="status">Nothing has these words.</p>
      </v-card-text>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.words {
  width: 100%;
  font: inherit;
  font-size: 1.15rem;
  padding: 9px 11px;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  max-height: 56vh;
  overflow-y: auto;
}
li {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: baseline;
  padding: 8px 10px;
  cursor: pointer;
  border-left: 4px solid transparent;
}
li[aria-selected='true'] {
  background: var(--bench);
  border-left-color: var(--ink);
}
p {
  margin: 8px 0 0;
}
</style>
