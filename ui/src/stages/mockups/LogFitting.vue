<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { BackPhoto, Fitting, GapSeen, View, Word } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useNews } from '../../stores/news'
import { useSettings } from '../../stores/settings'
import { hardware, length, SAT } from '../../parts/words'
import DrawnWearer from './DrawnWearer.vue'
import { empty, key, numberOf, renumbered, satAt, TESTS, toSend, writeSat, written, type Written } from './fitting'
import { useDraft, whenSaved } from '../../parts/useDraft'
import { useFocusOn } from '../../parts/useFocusOn'
import GapTable from './GapTable.vue'
import PhotoGap from './PhotoGap.vue'
import { useFittingCommands } from '../../commands/fittings'

// A fitting written down, or one corrected: touch the drawn wearer, write gaps, say how she moved. What is refused
// stays as it was written.
const props = defineProps<{ correct?: Fitting; begun?: Partial<Fitting> }>()
const emit = defineEmits<{ done: []; leave: []; afresh: [] }>()
const openBuild = useOpenBuild()
const fittings = useFittingCommands()
const settings = useSettings()
useFocusOn(useTemplateRef<HTMLElement>('sheet'))
const plan = computed(() => openBuild.plan)
const made = openBuild.build.mock_up
const start = props.correct ?? props.begun
const one = ref<Written>(
  start
    ? written(plan.value, settings.unit, start)
    : empty(plan.value, settings.unit, openBuild.build.target.pull, made.boned, made.closing),
)
one.value.version = props.correct ? undefined : openBuild.build.versions.length || undefined
if (!one.value.rows.length && !start) one.value.rows = empty(plan.value, settings.unit, 'close', true, 'laced').rows
const place = computed(() =>
  props.correct
    ? openBuild.build.fittings.findIndex((fitting) => fitting.number === props.correct?.number)
    : openBuild.build.fittings.length,
)
const number = computed(() => props.correct?.number ?? openBuild.build.fittings.length + 1)
const tied = computed(() => settings.catalogue.kinds.find((kind) => kind.name === openBuild.build.kind)?.tied)
const laced = computed(() => openBuild.build.back.laced)
if (!start && (tied.value || !laced.value)) one.value.closing = 'pinned'
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
  const { photo, name } = sent.value!
  photographing.value = {
    photo: { ...photo, name: name.replace(/\.\w+$/, ''), scale: [], rows: [] } as unknown as BackPhoto,
  }
  news.photo = undefined
}

// held while it is written down; what was begun on the stand or for a correction only once it is touched
const form = ref({ one: one.value, unit: settings.unit, photographing: photographing.value })
const untouched = JSON.stringify(one.value)
const draft = useDraft(
  openBuild.here.id,
  props.correct ? `fitting ${props.correct.number}` : 'fitting',
  form,
  () => openBuild.latest?.revision ?? null,
  (now) => !now.photographing && JSON.stringify(now.one) === untouched,
)
if (draft.restored.value) {
  one.value = renumbered(form.value.one)
  photographing.value = form.value.photographing
  if (form.value.unit !== settings.unit) draft.restored.value = { ...draft.restored.value, unit: form.value.unit }
}
watch(
  [one, photographing],
  () => (form.value = { one: one.value, unit: form.value.unit, photographing: photographing.value }),
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
const gapUnit = computed(() => (settings.unit === 'in' ? 'in' : 'mm'))
const pen = ref<Word | 'gap'>('digs')
const covered = computed(() => plan.value.levels.filter((level) => level.gap_mm !== null))
const seams = computed(() =>
  openBuild.pattern.panels.slice(1).map((_, i) => ({ title: `${i + 1}·${i + 2}`, value: i + 1 })),
)
const gaps = computed(() =>
  one.value.rows
    .map((row) => ({
      z: numberOf(row.z, settings.unit === 'in' ? 25.4 : 10),
      gap: row.gap.trim() ? numberOf(row.gap.replace(/ ?mm$/, ''), settings.unit === 'in' ? 25.4 : 1) : NaN,
    }))
    .filter((row) => Number.isFinite(row.z) && Number.isFinite(row.gap)),
)
const bare = (mm: number) => length(mm, settings.unit, { bare: true })
const add = {
  tap: (view: View, z: number, across: number) =>
    one.value.taps.push({ key: key(), view, z: bare(z), across, word: pen.value as Word, off: '', half: 'both' }),
  row: (z?: number) => one.value.rows.push({ key: key(), z: z === undefined ? '' : bare(z), gap: '', also: [] }),
  pinch: () =>
    one.value.pinches.push({
      key: key(),
      seam: Math.min(3, seams.value.length),
      from: bare(-40),
      to: bare(40),
      amount: '',
      how: 'pinched',
      half: 'both',
    }),
}
async function gapTouched(z: number) {
  add.row(z)
  one.value.rows.sort((a, b) => numberOf(b.z, 1) - numberOf(a.z, 1))
  await nextTick()
  const i = one.value.rows.findIndex((row) => row.z === bare(z) && !row.gap)
  document.querySelectorAll<HTMLInputElement>('input.gap')[i].focus()
}
// what the server refused, at the entry where it was written
const said = (field: string, i?: number) => {
  const at = `fittings.${place.value}.${field}${i === undefined ? '' : `.${i}`}`
  return Object.entries(openBuild.errors).find(([where]) => where === at || where.startsWith(`${at}.`))?.[1]
}
const wholeSaid = computed(() => openBuild.errors[`fittings.${place.value}.readings`])
const otherSaid = computed(() =>
  [
    'laced',
    'under_it',
    'edges',
    'rides_mm',
    'swings_mm',
    'moved',
    'photos',
    'words',
    'stand_offs',
    'hours',
    'cost',
    'made_of',
    'pads',
    'under',
    'note',
  ]
    .map((field) => said(field))
    .find(Boolean),
)
function takePhoto(photo: BackPhoto, read: GapSeen[]) {
  const at = photographing.value?.at
  if (at === undefined) one.value.photos.push(photo)
  else one.value.photos[at] = photo
  one.value.rows = read.map((row) => ({
    key: key(),
    z: bare(row.z_mm),
    gap: hardware(row.gap_mm, settings.unit).replace(/ \w+$/, ''),
    also: [],
    spread: row.spread_mm,
  }))
  photographing.value = null
}
async function log() {
  const build = openBuild.build
  const finished = {
    ...made,
    stack: openBuild.plan.stack ?? made.stack,
    edge_bone: build.bones.lacing_edge,
    strip: false,
  }
  if (one.value.finished) one.value.boned = true
  const of = one.value.finished ? finished : (props.correct?.made_of ?? made)
  const given = toSend(one.value, settings.unit, of, pads.value)
  const taken = props.correct ? await fittings.correct(props.correct.number, given) : await fittings.log(given)
  if (!taken) return
  draft.drop()
  emit('done')
}
const edgeRows = computed(() =>
  openBuild.pattern.zero === 'waist'
    ? ['top CF', 'top side', 'top CB', 'hem CF', 'hem side', 'hem CB']
    : ['top CF', 'top side', 'top CB'],
)
</script>

<template>
  <form
    ref="sheet"
    tabindex="-1"
    class="log"
    :aria-label="correct ? `Correct fitting ${number}` : 'Log a fitting'"
    @submit.prevent="log"
  >
    <section class="drawn">
      <div class="pens" role="radiogroup" aria-label="What it does where you touch">
        <button
          v-for="pick in SAT"
          :key="pick.word"
          type="button"
          role="radio"
          :aria-checked="pen === pick.word"
          @click="pen = pick.word"
        >
          <b>{{ pick.sign }}</b> {{ pick.word }}
        </button>
        <button type="button" role="radio" :aria-checked="pen === 'gap'" @click="pen = 'gap'">
          <b>↔</b> {{ laced ? 'gap' : 'pins' }}
        </button>
        <span class="soft small">then touch her where it is so</span>
      </div>
      <DrawnWearer :plan="plan" :taps="one.taps" :gaps="gaps" :pen="pen" @tap="add.tap" @gap="gapTouched" />
      <table v-if="one.taps.length" class="numbers taps" aria-label="Touched places">
        <tbody>
          <template v-for="(tap, i) in one.taps" :key="tap.key">
            <tr>
              <td>
                <select v-model="tap.view" :aria-label="`Place ${i + 1}, seen from`">
                  <option value="front">front</option>
                  <option value="side">side</option>
                  <option value="back">back</option>
                </select>
              </td>
              <td>
                <input
                  v-model="tap.z"
                  class="in"
                  :aria-label="`Place ${i + 1}, height`"
                  :aria-invalid="!!said('taps', i)"
                />
                {{ settings.unit }}
              </td>
              <td>
                <select v-model="tap.word" :aria-label="`Place ${i + 1}, how it sat`">
                  <option v-for="pick in SAT" :key="pick.word" :value="pick.word">
                    {{ pick.sign }} {{ pick.word }}
                  </option>
                </select>
              </td>
              <td>
                <template v-if="tap.word === 'stands off'"
                  >by <input v-model="tap.off" class="in" :aria-label="`Place ${i + 1}, stands off by`" />
                  {{ gapUnit }}</template
                >
                <select
                  v-if="tap.word === 'digs' || tap.word === 'stands off'"
                  v-model="tap.half"
                  :aria-label="`Place ${i + 1}, half`"
                >
                  <option value="both">both sides</option>
                  <option value="right">her right</option>
                  <option value="left">her left</option>
                </select>
              </td>
              <td class="n">
                <button type="button" :aria-label="`Take out place ${i + 1}`" @click="one.taps.splice(i, 1)">×</button>
              </td>
            </tr>
            <tr v-if="said('taps', i)">
              <td colspan="5" class="bad" role="alert">{{ said('taps', i) }}</td>
            </tr>
          </template>
        </tbody>
      </table>
      <button type="button" class="add" @click="add.tap('back', 0, 0.5)">+ a place by its height</button>
    </section>

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
          v-model="one.version"
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
        <v-btn-toggle v-model="one.pull" aria-labelledby="tried-pull"
          ><v-btn value="light" size="small">light</v-btn><v-btn value="close" size="small">close</v-btn
          ><v-btn value="firm" size="small">firm</v-btn></v-btn-toggle
        >
      </div>
      <div class="pull">
        <span id="tried-closing">Closed</span>
        <v-btn-toggle v-model="one.closing" aria-labelledby="tried-closing"
          ><v-btn v-if="laced" value="laced" size="small">laced</v-btn><v-btn value="pinned" size="small">pinned</v-btn
          ><v-btn value="open" size="small">not at all</v-btn></v-btn-toggle
        >
      </div>
      <label v-if="!one.finished" class="check"><input v-model="one.boned" type="checkbox" /> boned</label>
      <label class="check"><input v-model="one.finished" type="checkbox" /> the finished garment, no mock-up</label>

      <label v-if="pads.length" class="check"
        ><input v-model="one.padded" type="checkbox" /> over the padding that it is made for</label
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
      <p v-if="one.closing === 'open'" class="say">
        Not closed, {{ laced ? 'a gap says' : 'pins say' }} nothing: what is written here is kept, and not learned from.
      </p>
      <GapTable v-model="one" :said="said" :whole="wholeSaid" :tied="!!tied" :pins="!laced" />
      <p v-for="(photo, i) in one.photos" :key="photo.id" class="photo">
        <img :src="`/api/pictures/${photo.id}`" alt="" />
        <button type="button" @click="photographing = { photo, at: i }">Marks of photo {{ i + 1 }}</button>
        <button type="button" :aria-label="`Take out photo ${i + 1}`" @click="one.photos.splice(i, 1)">×</button>
      </p>

      <h2>Level by level, {{ laced ? 'laced' : 'closed' }}</h2>
      <table class="numbers girths" aria-label="Level by level, while it is worn">
        <thead>
          <tr>
            <th />
            <th>over it, {{ settings.unit }}</th>
            <th>under it, {{ settings.unit }}</th>
            <th>it sat, all round</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="level in covered" :key="level.name">
            <td>{{ level.label }}</td>
            <td v-for="field in ['laced', 'under_it'] as const" :key="field">
              <input
                v-model="one[field][level.name]"
                class="in"
                :aria-label="`${level.label}, girth ${field === 'laced' ? 'over' : 'under'} it`"
                autocomplete="off"
              />
            </td>
            <td class="sat">
              <select
                :value="satAt(one, level.name).word"
                :aria-label="`${level.label}, how it sat`"
                @change="
                  writeSat(
                    one,
                    level.name,
                    ($event.target as HTMLSelectElement).value as Word,
                    satAt(one, level.name).off,
                  )
                "
              >
                <option value="">–</option>
                <option v-for="pick in SAT" :key="pick.word" :value="pick.word">{{ pick.word }}</option>
              </select>
              <span v-if="satAt(one, level.name).word === 'stands off'"
                >by
                <input
                  class="in"
                  :value="satAt(one, level.name).off"
                  :aria-label="`${level.label}, stands off by`"
                  @change="writeSat(one, level.name, 'stands off', ($event.target as HTMLInputElement).value)"
                />
                {{ gapUnit }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>

      <h2>Pinched or slashed</h2>
      <div v-for="(pinch, i) in one.pinches" :key="pinch.key" class="pinch">
        <select v-model="pinch.how" :aria-label="`Pinch ${i + 1}, how`">
          <option value="pinched">pinched out</option>
          <option value="slashed">slashed open</option>
        </select>
        seam
        <select v-model.number="pinch.seam" :aria-label="`Pinch ${i + 1}, seam`">
          <option v-for="seam in seams" :key="seam.value" :value="seam.value">{{ seam.title }}</option>
        </select>
        by
        <input
          v-model="pinch.amount"
          class="in"
          :aria-label="`Pinch ${i + 1}, amount`"
          :aria-invalid="!!said('pinches', i)"
        />
        {{ gapUnit }}
        <button type="button" :aria-label="`Take out pinch ${i + 1}`" @click="one.pinches.splice(i, 1)">×</button>
        <span class="second"
          >from <input v-model="pinch.from" class="in" :aria-label="`Pinch ${i + 1}, from`" /> to
          <input v-model="pinch.to" class="in" :aria-label="`Pinch ${i + 1}, to`" /> {{ settings.unit }}, on
          <select v-model="pinch.half" :aria-label="`Pinch ${i + 1}, half`">
            <option value="both">each half</option>
            <option value="right">her right</option>
            <option value="left">her left</option>
          </select></span
        >
        <p v-if="said('pinches', i)" class="bad" role="alert">{{ said('pinches', i) }}</p>
      </div>
      <button type="button" class="add" @click="add.pinch">+ a pinch or slash</button>

      <h2>Edges and seams</h2>
      <div class="pairs">
        <label v-for="edge in edgeRows" :key="edge"
          ><span>{{ edge.startsWith('top') ? 'Top line' : 'Hem' }}, {{ edge.split(' ')[1] }}</span>
          <span
            ><select v-model="one.edges[edge].way" :aria-label="`${edge}`">
              <option value="">right</option>
              <option value="high">too high</option>
              <option value="low">too low</option>
            </select>
            <template v-if="one.edges[edge].way">
              by <input v-model="one.edges[edge].off" class="in short" :aria-label="`${edge}, by`" />
              {{ gapUnit }}</template
            ></span
          ></label
        >
        <label
          ><span>Its waist</span
          ><span
            ><select v-model="one.rides.way" aria-label="Its waist">
              <option value="">at hers</option>
              <option value="up">rides up</option>
              <option value="down">slips down</option></select
            ><template v-if="one.rides.way">
              by <input v-model="one.rides.off" class="in short" aria-label="Its waist, by" /> {{ gapUnit }}</template
            ></span
          ></label
        >
        <label
          ><span>Side seam</span
          ><span
            ><select v-model="one.swings.way" aria-label="Side seam">
              <option value="">hangs straight</option>
              <option value="front">swings to the front</option>
              <option value="back">swings to the back</option></select
            ><template v-if="one.swings.way">
              by <input v-model="one.swings.off" class="in short" aria-label="Side seam, by" /> {{ gapUnit }}</template
            ></span
          ></label
        >
      </div>

      <h2>She could</h2>
      <div class="tests">
        <label v-for="test in TESTS" :key="test"
          ><span>{{ test === 'in alone' ? 'get in alone' : test === 'out alone' ? 'get out alone' : test }}</span>
          <select v-model="one.moved[test]" :aria-label="`She could ${test}`">
            <option :value="undefined">–</option>
            <option value="well">well</option>
            <option value="hard">hardly</option>
            <option value="not">not</option>
          </select></label
        >
      </div>

      <h2>Notes</h2>
      <label class="line"
        ><span>Under it she wore</span><input v-model="one.under" class="text" aria-label="Under it she wore"
      /></label>
      <v-textarea v-model="one.note" label="What she said, where it dug" rows="2" auto-grow />
      <div class="pull cost">
        <label>Hours <input v-model="one.hours" class="in short" aria-label="Hours" inputmode="decimal" /></label
        ><label
          >Cloth and notions cost <input v-model="one.cost" class="in short" aria-label="Cost" inputmode="decimal"
        /></label>
      </div>
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
.drawn {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr) auto auto;
  gap: 8px;
  padding: 12px 16px;
  min-height: 0;
}
.taps {
  max-height: 148px;
  overflow-y: auto;
  display: block;
}
.taps tbody {
  display: table;
  width: 100%;
}
.pens {
  display: flex;
  gap: 6px;
  align-items: center;
  flex-wrap: wrap;
}
.pens button {
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 8px 12px;
  font: inherit;
  color: var(--ink);
  min-height: 42px;
}
.pens b {
  font-size: 1.15rem;
}
.pens [aria-checked='true'] {
  background: var(--ink);
  color: var(--paper);
  border-color: var(--ink);
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
.girths th {
  font-weight: 400;
}
.girths input.in {
  width: 62px;
}
.sat select {
  max-width: 92px;
}
.sat span {
  white-space: nowrap;
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
.pairs,
.tests {
  display: grid;
  gap: 5px;
}
.tests {
  grid-template-columns: 1fr 1fr;
  column-gap: 16px;
}
.pairs label,
.tests label,
.line {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  align-items: center;
}
.line span {
  flex: none;
}
.pinch input.in {
  width: 52px;
}
.pinch {
  line-height: 2.2;
  border-left: 3px solid var(--line);
  padding-left: 8px;
}
.second {
  display: block;
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
.cost {
  justify-content: space-between;
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
  .drawn {
    grid-template-rows: auto 36vh auto auto;
  }
}
@media (max-width: 899px) {
  .log {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto auto;
    height: auto;
  }
  .drawn {
    min-height: 480px;
  }
}
</style>
