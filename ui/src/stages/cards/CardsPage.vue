<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, Refused } from '../../api/client'
import type { CardsSeen } from '../../api/types'
import FlatOutlines from '../../parts/FlatOutlines.vue'
import { useKeys } from '../../parts/keys'
import { longDay } from '../../parts/words'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import TwoCards from './TwoCards.vue'

// Finished garments: found by whatever stands on their cards, two side by side, and begun again from.
const settings = useSettings()
const notices = useNotices()
const router = useRouter()
const words = ref('')
const kind = ref<string | null>(null)
const seen = shallowRef<CardsSeen>()
const failed = ref('')
const picked = ref<string[]>([])
const field = ref<{ focus: () => void }>()
let turn = 0

async function load() {
  const mine = ++turn
  try {
    const query = { words: words.value.slice(0, 200), kind: kind.value ?? '' }
    const found = await answer(api.GET('/api/cards', { params: { query } }))
    if (mine === turn) seen.value = found
    failed.value = ''
  } catch (error) {
    if (mine === turn) failed.value = error instanceof Refused ? error.trouble.sentence : 'They could not be read.'
  }
}
watch([kind, () => settings.unit], load, { immediate: true })
watchDebounced(words, load, { debounce: 150 })

function pick(id: string, on: boolean) {
  const others = picked.value.filter((one) => one !== id)
  picked.value = on ? [...others.slice(-1), id] : others // a third takes the place of the first
}
async function again(id: string) {
  try {
    const line = await workshop.duplicate(id, true)
    await router.push(`/build/${line.id}/brief`)
  } catch (error) {
    notices.complain(error)
  }
}
const told = computed(() => {
  const all = seen.value?.in_all ?? 0
  const found = seen.value?.count ?? 0
  if (!words.value.trim() && !kind.value) return all === 1 ? 'one finished garment' : `${all} finished garments`
  return `${found} of ${all}`
})
useKeys([{ keys: '/', does: 'look for a card', on: ['/'], run: () => field.value?.focus() }])
</script>

<template>
  <div class="place">
    <section class="main" aria-label="Cards of finished garments">
      <div class="head">
        <h1>Cards</h1>
        <v-text-field
          ref="field"
          v-model="words"
          class="words"
          label="Any words on the card"
          maxlength="200"
          clearable
          @click:clear="words = ''"
        />
        <v-select
          v-if="(seen?.kinds.length ?? 0) > 1"
          v-model="kind"
          class="kind"
          label="Of a kind"
          clearable
          :items="seen!.kinds"
        />
        <span v-if="seen?.in_all" class="soft" role="status">{{ told }}</span>
      </div>
      <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
      <TwoCards
        v-if="picked.length === 2"
        :first="picked[0]"
        :second="picked[1]"
        @swap="picked = [picked[1], picked[0]]"
        @leave="picked = []"
      />
      <p v-else-if="picked.length" class="soft" role="status">Tick another to lay the two side by side.</p>
      <div v-if="seen && !seen.in_all" class="none">
        <p>No garment is finished yet.</p>
        <p class="soft">When one is, its card comes here from its Record.</p>
      </div>
      <p v-else-if="seen && !seen.found.length" class="none">No card has all of these words.</p>
      <p v-if="seen && seen.count > seen.found.length" class="soft">
        The newest {{ seen.found.length }} of {{ seen.count }}: more words find fewer.
      </p>
      <ul class="cards">
        <li v-for="one in seen?.found" :key="one.id" :data-card="one.name">
          <span class="shape">
            <img v-if="one.photo" :src="`/api/pictures/${one.photo}`" :alt="one.name" loading="lazy" />
            <FlatOutlines v-else :outlines="one.outlines" :label="one.name" />
          </span>
          <span class="who">
            <router-link :to="`/build/${one.id}/record`">{{ one.name }}</router-link>
            <small>{{ one.kind }}, for {{ one.wearer || 'the wearer' }}</small>
            <small v-if="one.character">{{ one.character }}</small>
            <small
              >finished {{ longDay(one.finished_on)
              }}<template v-if="one.wears"
                >, worn {{ one.wears === 1 ? 'once' : `${one.wears} times` }}</template
              ></small
            >
          </span>
          <dl>
            <template v-for="fact in one.facts" :key="fact.name">
              <dt>{{ fact.name }}</dt>
              <dd class="in">{{ fact.value }}</dd>
            </template>
          </dl>
          <span class="hits">
            <span v-for="hit in one.hits" :key="hit" class="hit in">{{ hit }}</span>
          </span>
          <span class="acts">
            <label class="toggle"
              ><input
                type="checkbox"
                :checked="picked.includes(one.id)"
                :aria-label="`compare ${one.name}`"
                @change="pick(one.id, ($event.target as HTMLInputElement).checked)"
              />
              compare</label
            >
            <button type="button" class="ask" @click="again(one.id)">
              one like this, but …<span class="sr"> {{ one.name }}</span>
            </button>
          </span>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.main {
  height: 100%;
  box-sizing: border-box;
}
.head {
  padding-top: 6px;
}
.words {
  max-width: 340px;
  min-width: 220px;
}
.kind {
  max-width: 210px;
}
.cards {
  list-style: none;
  padding: 0;
  margin: 6px 0;
}
.cards > li {
  display: grid;
  grid-template-columns: 96px minmax(0, 1.3fr) minmax(0, 0.9fr) minmax(0, 1.3fr) 150px;
  gap: 20px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding: 12px 4px;
}
.shape img,
.shape :deep(svg) {
  width: 96px;
  height: 92px;
  object-fit: cover;
  object-position: 50% 55%;
  display: block;
}
.who a {
  font-size: 1.15rem;
  font-weight: 650;
  color: inherit;
}
small {
  display: block;
  color: var(--steel);
  font-size: 0.88rem;
  line-height: 1.3;
}
dl {
  display: grid;
  grid-template-columns: auto auto;
  gap: 1px 12px;
  margin: 0;
  justify-content: start;
}
dt {
  color: var(--steel);
}
dd {
  margin: 0;
  text-align: right;
}
.hit {
  display: block;
}
.acts {
  display: grid;
  gap: 4px;
  justify-items: start;
}
.bad {
  color: var(--takein);
}
.none {
  padding: 40px 0;
  text-align: center;
}
@media (max-width: 899px) {
  .cards > li {
    grid-template-columns: 72px minmax(0, 1fr);
    gap: 8px 14px;
  }
  .shape img,
  .shape :deep(svg) {
    width: 72px;
    height: 72px;
  }
  dl,
  .hits,
  .acts {
    grid-column: 2;
  }
}
</style>
