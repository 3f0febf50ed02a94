<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api } from '../../api/client'
import type { BookEntry, Remeasured, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import { length, LEVEL_LABELS, longDay } from '../../parts/words'
import { useMeasureCommands } from '../../commands/measures'

// Which measuring from the book these measures are; writing them down; what a newer one would change.
const openBuild = useOpenBuild()
const measures = useMeasureCommands()
const notices = useNotices()
const settings = useSettings()
const ref_ = computed(() => openBuild.build.measuring)
const wearer = computed(() => openBuild.build.wearer)
const book = ref<BookEntry[]>([])
const menu = ref(false)
const looked = ref<Remeasured>()
watch(menu, async (open) => open && (book.value = await workshop.wearers().catch(() => [])))
watch(
  () => openBuild.latest?.revision,
  () => (looked.value = undefined),
)
const look = async (id: string) => {
  menu.value = false
  looked.value = await answer(
    api.GET('/api/builds/{build_id}/measurings/{measuring_id}', {
      params: { path: { build_id: openBuild.here.id, measuring_id: id } },
    }),
  ).catch((error) => (notices.complain(error), undefined))
}
const moved = computed(() =>
  (looked.value?.body ?? []).filter((level) => Math.abs(level.after_mm - level.before_mm) >= 1),
)
const sewn = computed(() =>
  Object.fromEntries((looked.value?.sewn ?? []).map((level) => [level.name, level.after_mm - level.before_mm])),
)
const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${length(Math.abs(mm), settings.unit)}`
const taught = computed(() =>
  openBuild.build.taught?.measuring_id === ref_.value?.measuring_id ? openBuild.build.taught : undefined,
)
const taughtOf = computed(() =>
  (taught.value?.levels ?? [])
    .map((level) => {
      const girth = length(level.girth_mm, settings.unit, { bare: true })
      return `${LEVEL_LABELS[level.name].toLowerCase()} ${girth} ± ${length(level.spread_mm, settings.unit)}`
    })
    .join(', '),
)
const measured = computed(() => openBuild.levels.some((name) => wearer.value[name].readings_mm.length))
async function take() {
  if (looked.value && (await measures.takeMeasuring(looked.value.measuring_id))) looked.value = undefined
}
</script>

<template>
  <section class="book" aria-label="Book of wearers">
    <p v-if="ref_">From the book: {{ wearer.name || 'the wearer' }}, measured {{ longDay(ref_.taken_on) }}.</p>
    <p v-else class="soft">These measures are in this build only.</p>
    <span class="spring" />
    <v-btn
      size="small"
      variant="outlined"
      :disabled="!measured || !wearer.name"
      :title="wearer.name ? '' : 'Give the wearer a name first, in the brief'"
      @click="measures.writeDown(null)"
      >Write down in the book</v-btn
    >
    <v-menu v-model="menu" location="bottom end">
      <template #activator="{ props }"
        ><v-btn v-bind="props" size="small" variant="outlined">From the book</v-btn></template
      >
      <v-list density="compact" min-width="300" role="menu">
        <template v-for="entry in book" :key="entry.id">
          <v-list-item
            v-for="one in entry.measurings"
            :key="one.id"
            role="menuitem"
            :title="entry.name"
            :subtitle="`measured ${longDay(one.taken_on)}${one.id === ref_?.measuring_id ? ', in use here' : ''}`"
            @click="look(one.id)"
          />
        </template>
        <v-list-item v-if="!book.length" role="menuitem" title="Nobody is in the book yet" disabled />
      </v-list>
    </v-menu>
    <p v-if="taught" class="taught">
      <b
        >{{ taught.fittings === 1 ? 'A fitting' : `${taught.fittings} fittings` }} of “{{ taught.build }}”
        {{ taught.fittings === 1 ? 'counts' : 'count' }} here:</b
      >
      {{ taughtOf }}. <button type="button" @click="openBuild.set('taught', null)">Start from the tape alone</button>
    </p>
    <div v-if="openBuild.latest?.newer && !looked" class="newer">
      <b>Measured again on {{ longDay(openBuild.latest.newer.taken_on) }}.</b> This build rests on the older measures.
      <v-btn size="small" variant="outlined" @click="look(openBuild.latest.newer.id)">What would change?</v-btn>
    </div>
    <div v-if="looked" class="newer" role="status">
      <b>Measures of {{ longDay(looked.taken_on) }}:</b>
      <span v-if="!moved.length"> the same girths.</span>
      <ul v-else>
        <li v-for="level in moved" :key="level.name">
          {{ LEVEL_LABELS[level.name as LevelName] }}
          <span class="in"
            >{{ length(level.before_mm, settings.unit, { bare: true }) }} →
            {{ length(level.after_mm, settings.unit) }}</span
          ><template v-if="sewn[level.name] !== undefined"
            >, to sew <b class="in">{{ signed(sewn[level.name]) }}</b></template
          >
        </li>
      </ul>
      <v-btn size="small" color="primary" @click="take">Take these measures</v-btn>
      <v-btn size="small" variant="text" @click="looked = undefined">Leave it</v-btn>
    </div>
  </section>
</template>

<style scoped>
.book {
  display: flex;
  gap: 8px;
  align-items: center;
  flex-wrap: wrap;
  padding-bottom: 10px;
  margin-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.book p {
  margin: 0;
}
.spring {
  flex: 1;
}
.newer {
  flex-basis: 100%;
  border-left: 4px solid var(--caution);
  padding: 4px 10px;
  background: var(--marked);
  line-height: 1.4;
}
ul {
  margin: 2px 0 6px;
  padding-left: 18px;
}
.taught {
  flex-basis: 100%;
}
.taught button {
  color: var(--letout);
  font: inherit;
}
</style>
