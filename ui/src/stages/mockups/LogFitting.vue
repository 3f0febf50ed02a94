<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { BackPhoto, Fitting, GapSeen } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNews } from '../../stores/news'
import { useSettings } from '../../stores/settings'
import { certain } from '../../parts/certain'
import { hardware, length } from '../../parts/words'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { useFocusOn } from '../../parts/useFocusOn'
import { useFittingCommands } from '../../commands/fittings'
import GapTable from './GapTable.vue'
import LevelAnswers from './LevelAnswers.vue'
import NoteAnswers from './NoteAnswers.vue'
import PhotoGap from './PhotoGap.vue'
import PinchRows from './PinchRows.vue'
import TouchedPlaces from './TouchedPlaces.vue'
import WayAnswers from './WayAnswers.vue'
import WordAnswers from './WordAnswers.vue'
import { key, valueOf, type FittingField } from './answers'
import { empty, numberOf, renewedFitting, toSend, usualRows, written, type Written } from './fitting'
import { useRefusals } from './refusals'

// A fitting written down, or one corrected: touch the drawn wearer, write gaps, say how she moved. What is refused
// stays as it was written. What is asked comes from the server's list of its fields.
const props = defineProps<{ correct?: Fitting; begun?: Partial<Fitting> }>()
const emit = defineEmits<{ done: []; leave: []; afresh: [] }>()
const openBuild = useOpenBuild()
const fittings = useFittingCommands()
const settings = useSettings()
const fields = settings.catalogue.fitting
const asked = (part: FittingField['part']) => fields.filter((field) => field.part === part)
const taps = asked('taps')[0]
const sheet = useTemplateRef<HTMLElement>('sheet')
useFocusOn(sheet)
const made = openBuild.build.mock_up
const start = props.correct ?? props.begun
const usual = usualRows(openBuild.plan, settings.unit)
const fitting = ref<Written>(
  start ? written(fields, settings.unit, start) : empty(fields, usual, openBuild.build.target.pull, made),
)
fitting.value.version = props.correct ? undefined : openBuild.build.versions.length || undefined
if (!fitting.value.rows.length && !start) fitting.value.rows = usual
const place = computed(() =>
  props.correct
    ? openBuild.build.fittings.findIndex((other) => other.number === props.correct?.number)
    : openBuild.build.fittings.length,
)
const number = computed(() => props.correct?.number ?? openBuild.build.fittings.length + 1)
const tied = computed(() => settings.catalogue.kinds.find((kind) => kind.name === openBuild.build.kind)?.tied)
const laced = computed(() => openBuild.build.back.laced)
if (!start && (tied.value || !laced.value)) fitting.value.closing = 'pinned'
const finished = computed(() => valueOf(fitting.value.answers, 'finished') === 'yes')
const pull = computed({
  get: () => valueOf(fitting.value.answers, 'pull'),
  set: (to) => (fitting.value.answers.pull = to),
})
const pulls = certain(fields.find((field) => field.field === 'pull')?.cells[''], 'the pull').words
const ticks = asked('head').filter((field) => field.cells['']?.reads === 'tick')
const tick = (field: FittingField, on: boolean) => (fitting.value.answers[field.field] = on ? 'yes' : '')
// what she had under it then, else what is planned now
const pads = computed(() =>
  (props.correct?.pads.length ? props.correct.pads : openBuild.build.pads).filter(
    (pad) => pad.level !== 'shoulders', // worn in the costume, not under this
  ),
)
const photographing = ref<{ photo?: BackPhoto; at?: number } | null>(null)

// a photo that was taken with a device of the room
const news = useNews()
const sent = computed(() =>
  laced.value && !photographing.value && news.photo?.build === openBuild.latest?.id ? news.photo : undefined,
)
function takeSent() {
  const { photo, name } = certain(sent.value, 'the photo')
  photographing.value = {
    photo: { ...photo, name: name.replace(/\.\w+$/, ''), scale: [], rows: [] } as unknown as BackPhoto,
  }
  news.photo = undefined
}

// held while it is written down; what was begun on the stand or for a correction only once it is touched
const form = ref({ fitting: fitting.value, unit: settings.unit, photographing: photographing.value })
const untouched = JSON.stringify(fitting.value)
const draft = useDraft(
  openBuild.here.id,
  props.correct ? `fitting ${props.correct.number}` : 'fitting',
  form,
  () => openBuild.latest?.revision ?? null,
  (now) => !now.photographing && JSON.stringify(now.fitting) === untouched,
)
if (draft.restored.value) {
  const held = form.value as typeof form.value & { one?: Written } // as it was called once
  fitting.value = renewedFitting(held.one ?? held.fitting, fields)
  photographing.value = form.value.photographing
  if (form.value.unit !== settings.unit) draft.restored.value = { ...draft.restored.value, unit: form.value.unit }
}
watch(
  [fitting, photographing],
  () => (form.value = { fitting: fitting.value, unit: form.value.unit, photographing: photographing.value }),
  { deep: true },
)
function afresh() {
  draft.drop()
  emit('afresh')
}
function leave() {
  draft.drop()
  emit('leave')
}
const refusals = useRefusals(fields, fitting, place)
const { said } = refusals
// at no field of the form: of what was tried on, what was under it, and the photos
const otherSaid = computed(() => ['pull', 'finished', 'made_of', 'pads', 'photos'].map((at) => said(at)).find(Boolean))
const gaps = computed(() =>
  fitting.value.rows
    .map((row) => ({
      z: numberOf(row.z, settings.unit === 'in' ? 25.4 : 10),
      gap: row.gap.trim() ? numberOf(row.gap.replace(/ ?mm$/, ''), settings.unit === 'in' ? 25.4 : 1) : NaN,
    }))
    .filter((row) => Number.isFinite(row.z) && Number.isFinite(row.gap)),
)
const bare = (mm: number) => length(mm, settings.unit, { bare: true })
async function gapTouched(z: number) {
  fitting.value.rows.push({ key: key(), z: bare(z), gap: '', also: [] })
  fitting.value.rows.sort((a, b) => numberOf(b.z, 1) - numberOf(a.z, 1))
  await nextTick()
  const i = fitting.value.rows.findIndex((row) => row.z === bare(z) && !row.gap)
  document.querySelectorAll<HTMLInputElement>('input.gap')[i].focus()
}
function takePhoto(photo: BackPhoto, read: GapSeen[]) {
  const at = photographing.value?.at
  if (at === undefined) fitting.value.photos.push(photo)
  else fitting.value.photos[at] = photo
  fitting.value.rows = read.map((row) => ({
    key: key(),
    z: bare(row.z_mm),
    gap: hardware(row.gap_mm, settings.unit).replace(/ \w+$/, ''),
    also: [],
    spread: row.spread_mm,
  }))
  photographing.value = null
}
/** The first that was refused is brought into view: the form is longer than the window. */
async function showRefusal() {
  await nextTick()
  const refused = [...(sheet.value?.querySelectorAll('.bad[role=alert]') ?? [])]
  refused.find((said) => said.getClientRects().length)?.scrollIntoView({ block: 'center' })
}
async function log() {
  const build = openBuild.build
  const cloth = {
    ...made,
    stack: openBuild.plan.stack ?? made.stack,
    edge_bone: build.bones.lacing_edge,
    strip: false,
  }
  if (finished.value) fitting.value.boned = true
  const of = finished.value ? cloth : (props.correct?.made_of ?? made)
  const given = toSend(fields, fitting.value, settings.unit, of, pads.value)
  const taken = props.correct ? await fittings.correct(props.correct.number, given) : await fittings.log(given)
  if (!taken) return showRefusal()
  draft.drop()
  emit('done')
}
</script>

<template>
  <form
    ref="sheet"
    tabindex="-1"
    class="log"
    :aria-label="correct ? `Correct fitting ${number}` : 'Log a fitting'"
    @submit.prevent="log"
  >
    <TouchedPlaces v-model="fitting.answers" :field="taps" :gaps="gaps" :refusals="refusals" @gap="gapTouched" />

    <aside class="written">
      <h1>{{ correct ? `Correct fitting ${number}` : `Fitting ${number}` }}</h1>
      <p v-if="draft.restored.value" class="restored" role="status">
        As you left it {{ whenSaved(draft.restored.value.saved)
        }}{{ draft.restored.value.moved ? ', before the build was changed' : ''
        }}{{ draft.restored.value.unit ? `, in ${draft.restored.value.unit}: write the lengths with their unit` : '' }}.
        <v-btn size="x-small" variant="outlined" @click="afresh">Begin anew</v-btn>
      </p>
      <p class="soft small">
        Version
        <select
          v-if="!correct && openBuild.build.versions.length > 1"
          v-model="fitting.version"
          aria-label="Version tried on"
        >
          <option v-for="version in openBuild.build.versions" :key="version.number" :value="version.number">
            {{ version.number }}
          </option></select
        ><template v-else>{{ correct?.version ?? openBuild.pattern.version ?? 1 }}</template
        >. Leave empty what you did not look at.
      </p>
      <div v-if="!tied" class="pull">
        <span id="tried-pull">{{ laced ? 'Pulled' : 'Held' }}</span>
        <v-btn-toggle v-model="pull" mandatory aria-labelledby="tried-pull"
          ><v-btn v-for="strength in pulls" :key="strength.name" :value="strength.name" size="small">{{
            strength.label
          }}</v-btn></v-btn-toggle
        >
      </div>
      <div class="pull">
        <span id="tried-closing">Closed</span>
        <v-btn-toggle v-model="fitting.closing" mandatory aria-labelledby="tried-closing"
          ><v-btn v-if="laced" value="laced" size="small">laced</v-btn><v-btn value="pinned" size="small">pinned</v-btn
          ><v-btn value="open" size="small">not at all</v-btn></v-btn-toggle
        >
      </div>
      <label v-if="!finished" class="check"><input v-model="fitting.boned" type="checkbox" /> boned</label>
      <label v-for="field in ticks" :key="field.field" class="check"
        ><input
          type="checkbox"
          :checked="valueOf(fitting.answers, field.field) === 'yes'"
          @change="tick(field, ($event.target as HTMLInputElement).checked)"
        />
        {{ field.label }}</label
      >

      <label v-if="pads.length" class="check"
        ><input v-model="fitting.padded" type="checkbox" /> over the padding that it is made for</label
      >

      <p v-if="sent" class="restored" role="status">
        A photo has come from another device.
        <v-btn size="small" variant="outlined" @click="takeSent">Read the gap off it</v-btn>
        <v-btn size="small" variant="text" @click="news.photo = undefined">Leave it</v-btn>
      </p>
      <h2 v-if="laced">
        Gap <v-btn size="x-small" variant="outlined" @click="photographing = {}">From a photo</v-btn>
      </h2>
      <template v-else>
        <h2>Pins behind</h2>
        <p class="say">
          How far from the line of the seam they had to go, inside it with a minus. None where it was pinned on the
          line.
        </p>
      </template>
      <p v-if="fitting.closing === 'open'" class="say">
        Not closed, {{ laced ? 'a gap says' : 'pins say' }} nothing: what is written here is kept, and not learned from.
      </p>
      <GapTable v-model="fitting" :said="said" :whole="refusals.saidOfAll('readings')" :tied="!!tied" :pins="!laced" />
      <p v-for="(photo, i) in fitting.photos" :key="photo.id" class="photo">
        <img :src="`/api/pictures/${photo.id}`" alt="" />
        <button type="button" @click="photographing = { photo, at: i }">Marks of photo {{ i + 1 }}</button>
        <button type="button" :aria-label="`Take out photo ${i + 1}`" @click="fitting.photos.splice(i, 1)">×</button>
      </p>

      <h2>Level by level, {{ laced ? 'laced' : 'closed' }}</h2>
      <LevelAnswers v-model="fitting.answers" :fields="asked('levels')" :refusals="refusals" />

      <template v-for="field in asked('pinches')" :key="field.field">
        <h2>{{ field.label }}</h2>
        <PinchRows v-model="fitting.answers" :field="field" :refusals="refusals" />
      </template>

      <h2>Edges and seams</h2>
      <WayAnswers v-model="fitting.answers" :fields="asked('edges')" :refusals="refusals" />

      <WordAnswers
        v-for="field in asked('moves')"
        :key="field.field"
        v-model="fitting.answers"
        :field="field"
        :refusals="refusals"
      />

      <h2>Notes</h2>
      <NoteAnswers v-model="fitting.answers" :fields="asked('notes')" :refusals="refusals" />
      <p v-if="otherSaid" class="bad" role="alert">{{ otherSaid }}</p>
      <div class="acts">
        <v-btn color="primary" type="submit">{{ correct ? `Keep fitting ${number}` : `Log fitting ${number}` }}</v-btn>
        <v-btn variant="text" @click="leave">Leave it</v-btn>
      </div>
    </aside>
    <PhotoGap
      v-if="photographing"
      :photo="photographing.photo"
      @take="takePhoto"
      @marked="(photo) => photographing && (photographing = { ...photographing, photo })"
      @leave="photographing = null"
    />
  </form>
</template>

<style>
/* fields and buttons of the form, in its tables too */
:is(.log > .written, .log > .drawn) input:not([type='checkbox']) {
  width: 64px;
  font: inherit;
  font-size: 1.02rem;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 5px 7px;
  text-align: right;
  background: var(--paper);
  color: var(--ink);
}
:is(.log > .written, .log > .drawn) input.text {
  width: 100%;
  text-align: left;
}
:is(.log > .written, .log > .drawn) input.short {
  width: 52px;
}
:is(.log > .written, .log > .drawn) table input:not(.x) {
  width: 74px;
}
:is(.log > .written, .log > .drawn) input[aria-invalid='true'] {
  border-color: var(--takein);
}
:is(.log > .written, .log > .drawn) td {
  border: 0 !important;
}
:is(.log > .written, .log > .drawn) select {
  font: inherit;
  border: 1px solid #8b99a5;
  border-radius: 3px;
  padding: 5px 4px;
  background: var(--paper);
  color: var(--ink);
}
:is(.log > .written, .log > .drawn) .add {
  justify-self: start;
  color: var(--letout);
  font: inherit;
  padding: 4px 0;
}
:is(.log > .written, .log > .drawn) button:not(.v-btn) {
  color: var(--steel);
}
:is(.log > .written, .log > .drawn) .pens button {
  color: var(--ink);
}
:is(.log > .written, .log > .drawn) .pens [aria-checked='true'] {
  color: var(--paper);
}
:is(.log > .written, .log > .drawn) .add {
  color: var(--letout) !important;
}
:is(.log > .written, .log > .drawn) .bad {
  color: var(--takein);
  font-size: 0.9rem;
  margin: 0;
}
</style>

<style scoped>
.log {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  height: 100%;
  min-height: 0;
}
.written {
  border-left: 1px solid var(--line);
  padding: 14px 16px 0;
  overflow-y: auto;
  display: grid;
  gap: 8px;
  align-content: start;
  scroll-padding-bottom: 70px;
}
h1 {
  font-size: 1.18rem;
}
h2 {
  font-size: 1rem;
  margin-top: 8px;
  display: flex;
  gap: 10px;
  align-items: center;
}
.say {
  margin: 0;
}
.pull {
  display: flex;
  gap: 12px;
  align-items: center;
}
.pull > span {
  width: 56px;
}
.check {
  display: flex;
  gap: 8px;
  align-items: center;
}
.check input {
  width: auto;
}
.photo {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 0;
}
.photo img {
  height: 44px;
  border-radius: 3px;
}
.photo button {
  font: inherit;
  color: var(--letout) !important;
}
.acts {
  position: sticky;
  bottom: 0;
  margin: 4px -16px 0;
  padding: 10px 16px 14px;
  background: var(--paper);
  border-top: 1px solid var(--line);
  display: flex;
  gap: 8px;
  z-index: 1;
}
@media (max-width: 900px) {
  .log {
    display: block;
    overflow-y: auto;
  }
  .written {
    overflow: visible;
    border: 0;
  }
}
@media (max-width: 899px) {
  .log {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto;
    height: auto;
  }
}
</style>
