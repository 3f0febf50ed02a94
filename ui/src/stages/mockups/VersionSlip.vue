<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, ofBuild } from '../../api/client'
import type { components } from '../../api/schema'
import type { Fitting, LevelName } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { hardware, length, LEVEL_LABELS, shortDay, signedEdge } from '../../parts/words'
import { usePatternCommands } from '../../commands/pattern'

// One version: its name and note, what changed from it to the present one, and the way back to it.
const props = defineProps<{ number: number }>()
const emit = defineEmits<{
  compared: [panels: components['schemas']['LaidPanel'][]]
  leave: []
  correct: [fitting: Fitting]
}>()
const openBuild = useOpenBuild()
const pattern = usePatternCommands()
const notices = useNotices()
const settings = useSettings()
const version = computed(() => openBuild.build.versions[props.number - 1])
const current = computed(() => openBuild.build.versions.length)
const found = ref<components['schemas']['Compared']>()
const against = ref<number>()
const others = computed(() =>
  openBuild.build.versions.map((version) => version.number).filter((number) => number !== props.number),
)
const other = computed(() =>
  against.value && others.value.includes(against.value)
    ? against.value
    : current.value === props.number
      ? others.value.at(-1)
      : current.value,
)
watch(
  () => [props.number, other.value, openBuild.here.id],
  async () => {
    found.value = undefined
    if (!other.value) return emit('compared', [])
    try {
      const [before, after] = [Math.min(props.number, other.value), Math.max(props.number, other.value)]
      found.value = await answer(
        api.GET('/api/builds/{build_id}/compare', {
          params: { ...ofBuild(openBuild.here.id).params, query: { before, after } },
        }),
      )
      emit('compared', Math.max(props.number, other.value) === current.value ? found.value.before_panels : [])
    } catch (error) {
      notices.complain(error)
    }
  },
  { immediate: true },
)
const fittings = computed(
  () => openBuild.build.fittings.filter((fitting) => fitting.version === props.number) as Fitting[],
)
const signed = (mm: number) =>
  Math.abs(mm) < 0.5 ? '=' : `${mm > 0 ? '+' : '−'}${length(Math.abs(mm), settings.unit, { bare: true })}`
const amount = (mm: number) =>
  settings.unit === 'in' ? length(mm, 'in', { hardware: true, bare: true }) : mm.toFixed(1)
async function back() {
  if (await pattern.version('back', props.number)) emit('leave')
}
</script>

<template>
  <section class="version" :aria-label="`Version ${number}`">
    <p class="soft small">{{ version.made_on ? `${shortDay(version.made_on)}, ` : '' }}{{ version.reason }}</p>
    <v-text-field
      label="Name it"
      :model-value="version.name"
      @change="(event: Event) => openBuild.set(`versions.${number - 1}.name`, (event.target as HTMLInputElement).value)"
    />
    <v-textarea
      label="Note"
      rows="2"
      auto-grow
      :model-value="version.note"
      @change="(event: Event) => openBuild.set(`versions.${number - 1}.note`, (event.target as HTMLInputElement).value)"
    />
    <ul v-if="version.changes.length" class="small">
      <li v-for="(change, i) in version.changes.slice(-6)" :key="i">{{ change }}</li>
    </ul>
    <p>
      <a :href="`/api/builds/${openBuild.here.id}/pattern.pdf?paper=${settings.house.paper}&version=${number}`" download
        >Print this version, 1:1</a
      >
    </p>
    <p v-for="fitting in fittings" :key="fitting.number" class="tried">
      <span
        >Fitting {{ fitting.number }}{{ fitting.tried_on ? `, ${shortDay(fitting.tried_on)}` : '' }}, pulled
        {{ fitting.pull }}{{ fitting.corrected ? ', corrected' : '' }}</span
      ><button type="button" @click="emit('correct', fitting)">Correct it</button>
    </p>
    <template v-if="found">
      <div class="against">
        <h2>From version {{ found.before }} to {{ found.after }}</h2>
        <label v-if="others.length > 1"
          >with
          <select
            :value="other"
            aria-label="Compare with version"
            @change="against = Number(($event.target as HTMLSelectElement).value)"
          >
            <option v-for="choice in others" :key="choice" :value="choice">version {{ choice }}</option>
          </select></label
        >
      </div>
      <table class="numbers" aria-label="Girths compared">
        <thead>
          <tr>
            <th>sewn girth, {{ settings.unit }}</th>
            <th class="n">v{{ found.before }}</th>
            <th class="n">v{{ found.after }}</th>
            <th class="n">change</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="level in found.comparison.levels" :key="level.name">
            <td>{{ LEVEL_LABELS[level.name as LevelName] }}</td>
            <td class="n in">{{ length(level.before_mm, settings.unit, { bare: true }) }}</td>
            <td class="n in">{{ length(level.after_mm, settings.unit, { bare: true }) }}</td>
            <td class="n in">
              <b>{{ signed(level.after_mm - level.before_mm) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="!found.comparison.same_cut">The panels were cut anew, so seams can't be set beside each other.</p>
      <table v-else-if="found.comparison.seams.length" class="numbers" aria-label="Seams compared">
        <thead>
          <tr>
            <th>seam, {{ settings.smallUnit }} per panel edge</th>
            <th class="n">change</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="mark in found.comparison.seams" :key="mark.seam + mark.z_mm">
            <td>
              {{ mark.seam }},
              {{ mark.level ? LEVEL_LABELS[mark.level as LevelName].toLowerCase() : length(mark.z_mm, settings.unit) }}
            </td>
            <td class="n" :class="mark.kind === 'let out' ? 'letout' : mark.kind === 'move' ? '' : 'takein'">
              {{ mark.kind === 'let out' ? '◀▶' : mark.kind === 'move' ? '▶▶' : '▶◀' }} {{ mark.kind }}
              <b v-if="mark.kind === 'move'" class="in"
                >{{ signedEdge(mark.cf_side_mm, settings.unit) }} {{ signedEdge(mark.cb_side_mm, settings.unit) }}</b
              >
              <b v-else class="in">{{ amount(mark.cf_side_mm) }} + {{ amount(mark.cb_side_mm) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-for="fact in found.comparison.others" :key="fact">{{ fact[0].toUpperCase() + fact.slice(1) }}.</p>
      <p v-for="edge in found.comparison.edges" :key="edge.edge + edge.place">
        {{ edge.edge === 'top' ? 'Top line' : 'Hem' }} at {{ edge.place }}
        {{ edge.moved_mm > 0 ? 'raised' : 'lowered' }} by {{ hardware(Math.abs(edge.moved_mm), settings.unit) }}.
      </p>
    </template>
    <div class="acts">
      <v-btn v-if="number !== current" color="primary" @click="back">Go back to it, as version {{ current + 1 }}</v-btn>
      <v-btn variant="outlined" @click="emit('leave')">Close</v-btn>
    </div>
  </section>
</template>

<style scoped>
.against {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
select {
  font: inherit;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  background: var(--paper);
  color: var(--ink);
}
ul {
  margin: 0;
  padding-left: 18px;
}
.version {
  display: grid;
  gap: 10px;
}
.version p {
  margin: 0;
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.tried {
  display: flex;
  justify-content: space-between;
  margin: 6px 0;
}
.tried button {
  color: var(--letout);
  font: inherit;
}
</style>
