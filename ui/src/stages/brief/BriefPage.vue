<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Past } from '../../api/types'
import { answer, api, ofBuild } from '../../api/client'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import AsDrawn from './AsDrawn.vue'
import BriefPictures from './BriefPictures.vue'
import WhatFollows from './WhatFollows.vue'
import FindingsList from '../../parts/FindingsList.vue'
import { JOBS } from '../../parts/words'
import { useDraft, whenSaved } from '../../parts/useDraft'

// What is made, for whom and when; what it has to stand; the pictures; and what follows from the answers.
const openBuild = useOpenBuild()
const settings = useSettings()
const brief = computed(() => openBuild.build.brief)
const TEXTS = ['name', 'character', 'note', 'worn_under', 'worn_over', 'covered'] as const
const draft = ref<Record<string, string>>({})
const asKept = (): Record<string, string> => ({
  ...Object.fromEntries(TEXTS.map((name) => [name, brief.value[name]])),
  wearer: openBuild.build.wearer.name,
})
// what is typed and not kept yet, held by this browser
const id = openBuild.here.id
const typed = ref<Record<string, string>>({})
const held = useDraft(
  id,
  'brief',
  typed,
  () => openBuild.latest?.revision ?? null,
  (now) => !Object.keys(now).length,
)
draft.value = { ...asKept(), ...typed.value }
watch(
  () => openBuild.build,
  (build) => build && (draft.value = { ...asKept(), ...(openBuild.errors['brief.name'] ? typed.value : {}) }),
)
watch(
  draft,
  (now) => {
    const kept = asKept()
    typed.value = Object.fromEntries(Object.entries(now).filter(([name, text]) => text !== kept[name]))
  },
  { deep: true },
)
function keepTyped() {
  const changes = Object.entries(typed.value).map(([name, text]) => ({
    at: name === 'wearer' ? 'wearer.name' : `brief.${name}`,
    value: text,
  }))
  held.restored.value = undefined
  if (changes.length) void openBuild.edit(changes)
}
const keep = (name: string) => openBuild.set(`brief.${name}`, draft.value[name])
function keepName() {
  const name = draft.value.name.trim()
  if (!name) draft.value.name = brief.value.name
  else if (name !== brief.value.name) openBuild.set('brief.name', name)
}
const setJob = (word: string) =>
  openBuild.edit(
    JOBS[word as keyof typeof JOBS].map(([field, value]) => ({ at: `target.${field}`, value })),
    `Job: ${word}`,
  )
const MOVES = ['sit', 'bend', 'raise arms', 'dance', 'drive', 'turn the head'] as const
const toggle = (move: string) => {
  const now = brief.value.movement
  openBuild.set(
    'brief.movement',
    now.includes(move as (typeof MOVES)[number]) ? now.filter((one) => one !== move) : [...now, move],
  )
}
const past = ref<Past[]>([])
watch(
  () => openBuild.latest?.revision,
  async () =>
    (past.value = await answer(api.GET('/api/builds/{build_id}/history', ofBuild(openBuild.here.id))).catch(() => [])),
  { immediate: true },
)
const when = (moment: string) =>
  new Date(moment.endsWith('Z') || moment.includes('+') ? moment : `${moment}Z`).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  })
const tab = ref<'follows' | 'drawn' | 'past'>('follows')
</script>

<template>
  <div class="brief">
    <section class="sheet">
      <h1>Brief</h1>
      <FindingsList :stages="['brief']" />
      <p v-if="held.restored.value && Object.keys(typed).length" class="restored" role="status">
        What you typed {{ whenSaved(held.restored.value.saved) }} is not kept yet.
        <v-btn size="x-small" variant="outlined" @click="keepTyped">Keep it</v-btn>
        <v-btn size="x-small" variant="text" @click="draft = asKept()">Leave it</v-btn>
      </p>
      <v-text-field v-model="draft.name" label="Name" @change="keepName" />
      <v-text-field v-model="draft.character" label="Character, and where from" @change="keep('character')" />
      <div class="two">
        <v-text-field
          v-model="draft.wearer"
          label="Who wears it"
          @change="openBuild.set('wearer.name', draft.wearer)"
        />
        <v-text-field
          type="date"
          label="Day it is needed"
          :model-value="brief.needed_on"
          :error-messages="openBuild.saidAt('brief.needed_on')?.text"
          @change="(event: Event) => openBuild.set('brief.needed_on', (event.target as HTMLInputElement).value || null)"
        />
      </div>
      <div>
        <v-select
          label="Kind of garment"
          :model-value="openBuild.build.kind"
          :items="settings.catalogue.kinds.map((one) => one.name)"
          @update:model-value="(kind: string) => openBuild.set('kind', kind)"
        />
        <p class="soft small what">{{ openBuild.kind.what }}</p>
      </div>
      <div v-if="!openBuild.kind.tied">
        <span id="job-label" class="label">Its job</span>
        <v-btn-toggle
          :model-value="openBuild.here.job"
          aria-labelledby="job-label"
          class="wide"
          @update:model-value="setJob"
        >
          <v-btn v-for="(_, word) in JOBS" :key="word" :value="word" size="small">{{ word }}</v-btn>
        </v-btn-toggle>
      </div>
      <div class="two">
        <div>
          <span id="laced-label" class="label">Laced by</span>
          <v-btn-toggle
            :mandatory="false"
            :model-value="brief.laced_by"
            aria-labelledby="laced-label"
            @update:model-value="(value: unknown) => openBuild.set('brief.laced_by', value ?? null)"
          >
            <v-btn value="herself" size="small">herself</v-btn><v-btn value="a helper" size="small">a helper</v-btn>
          </v-btn-toggle>
        </div>
        <div>
          <span id="alone-label" class="label">Must she get in alone?</span>
          <v-btn-toggle
            :mandatory="false"
            :model-value="brief.alone"
            aria-labelledby="alone-label"
            @update:model-value="(value: unknown) => openBuild.set('brief.alone', value ?? null)"
          >
            <v-btn :value="true" size="small">yes</v-btn><v-btn :value="false" size="small">no</v-btn>
          </v-btn-toggle>
        </div>
        <div>
          <label class="label" for="hours">Worn for</label>
          <span class="hours"
            ><input
              id="hours"
              :value="brief.hours_worn"
              inputmode="decimal"
              @change="openBuild.set('brief.hours_worn', ($event.target as HTMLInputElement).value || null)"
            />
            hours</span
          >
          <p v-if="openBuild.errors['brief.hours_worn']" class="bad" role="alert">
            {{ openBuild.errors['brief.hours_worn'] }}
          </p>
        </div>
        <div>
          <span id="heat-label" class="label">Where it is</span>
          <v-btn-toggle
            :mandatory="false"
            :model-value="brief.heat"
            aria-labelledby="heat-label"
            @update:model-value="(value: unknown) => openBuild.set('brief.heat', value ?? null)"
          >
            <v-btn v-for="heat in ['cool', 'warm', 'hot']" :key="heat" :value="heat" size="small">{{ heat }}</v-btn>
          </v-btn-toggle>
        </div>
      </div>
      <div>
        <span id="moves-label" class="label">She has to</span>
        <div class="moves" role="group" aria-labelledby="moves-label">
          <button
            v-for="move in MOVES"
            :key="move"
            type="button"
            :aria-pressed="!!brief.movement.includes(move)"
            @click="toggle(move)"
          >
            {{ move }}
          </button>
        </div>
      </div>
      <v-text-field v-model="draft.worn_under" label="Worn under it" @change="keep('worn_under')" />
      <v-text-field v-model="draft.worn_over" label="Worn over it" @change="keep('worn_over')" />
      <v-text-field
        v-model="draft.covered"
        label="What will be covered, and may be invented"
        @change="keep('covered')"
      />
      <v-textarea
        v-model="draft.note"
        label="What the eye must see, what it must stand"
        rows="3"
        auto-grow
        @change="keep('note')"
      />
      <p class="caution">
        Fuseau is a workshop aid and gives no medical advice. In pregnancy, after surgery, with hernia, reflux, heart,
        lung, spine or circulation trouble, or while still growing: no reduction unless a doctor has agreed.
      </p>
    </section>
    <BriefPictures />
    <section class="side">
      <div class="tabs" role="tablist">
        <button type="button" role="tab" :aria-selected="tab === 'follows'" @click="tab = 'follows'">
          What follows
        </button>
        <button type="button" role="tab" :aria-selected="tab === 'drawn'" @click="tab = 'drawn'">As drawn?</button>
        <button type="button" role="tab" :aria-selected="tab === 'past'" @click="tab = 'past'">Every change</button>
      </div>
      <WhatFollows v-if="tab === 'follows'" />
      <AsDrawn v-else-if="tab === 'drawn'" />
      <ol v-else aria-label="History">
        <li v-for="one in past" :key="one.revision" :class="{ present: one.present }">
          <span class="entry"
            >{{ one.label }}<small>{{ when(one.made_at) }}</small></span
          >
          <v-btn
            v-if="!one.present"
            size="x-small"
            variant="text"
            :aria-label="`Back to here: ${one.label}`"
            @click="openBuild.restore(one.revision)"
            >Back to here</v-btn
          >
          <b v-else class="small">now</b>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.brief {
  display: grid;
  grid-template-columns: 368px minmax(0, 1fr) 268px;
  min-height: 0;
  height: 100%;
}
.sheet {
  padding: 20px 20px 28px;
  display: grid;
  gap: 12px;
  align-content: start;
  overflow: hidden auto;
  border-right: 1px solid var(--line);
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
}
.two :deep(.v-btn-toggle .v-btn) {
  padding: 0 9px;
  min-width: 0;
}
.what {
  margin: 4px 0 0;
  line-height: 1.25;
}
.label {
  display: block;
  font-size: 0.85rem;
  color: var(--steel);
  margin-bottom: 1px;
}
.wide {
  width: 100%;
}
.wide :deep(.v-btn) {
  flex: 1;
}
.hours {
  display: flex;
  gap: 6px;
  align-items: center;
}
.hours input {
  width: 64px;
  font: inherit;
  text-align: right;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 5px 7px;
  background: var(--paper);
  color: var(--ink);
}
.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.moves button {
  border: 1px solid #8b99a5;
  border-radius: 14px;
  padding: 3px 11px;
  font: inherit;
  color: var(--ink);
}
.moves [aria-pressed='true'] {
  background: var(--ink);
  color: var(--paper);
  border-color: var(--ink);
}
.side {
  border-left: 1px solid var(--line);
  overflow-y: auto;
  background: var(--bench);
  padding: 0 16px 20px;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  position: sticky;
  top: 0;
  background: var(--bench);
  padding: 14px 0 8px;
  z-index: 1;
}
.tabs button {
  font: inherit;
  white-space: nowrap;
  padding: 4px 5px;
  color: var(--steel);
  border-bottom: 2px solid transparent;
}
.tabs [aria-selected='true'] {
  color: var(--ink);
  font-weight: 650;
  border-color: var(--ink);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px;
  align-items: center;
  padding: 5px 0;
  border-bottom: 1px solid var(--line);
}
.entry small {
  display: block;
  color: var(--steel);
}
li b {
  color: var(--settled);
}
.present .entry {
  font-weight: 650;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
  margin: 0;
}
.bad {
  color: var(--takein);
  font-size: 0.88rem;
  margin: 2px 0 0;
}
@media (max-width: 899px) {
  .brief {
    grid-template-columns: minmax(0, 1fr);
    height: auto;
  }
  .sheet {
    overflow: visible;
    border-right: 0;
  }
  .side {
    border-left: 0;
    overflow: visible;
  }
}
</style>
