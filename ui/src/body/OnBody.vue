<script setup lang="ts">
import { useElementSize, useEventListener } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { answer, api, ofBuild, Refused } from '../api/client'
import type { OnBodySeen, Stage } from '../api/types'
import { useKeys } from '../parts/keys'
import { hardware, length, LEVEL_LABELS } from '../parts/words'
import { useOpenBuild } from '../stores/openBuild'
import { useOnBody } from '../stores/onBody'
import { useSettings } from '../stores/settings'
import { CLASS_COLOURS } from './colours'
import type { View } from './scene'
import SeenOnHer from './SeenOnHer.vue'
import { boxOf, CLASSES, differences, PARTS, partsOf, PRESETS, turned, type Part } from './seen'
import { certain } from '../parts/certain'

// The garment on her, worn as the model settles it: turned by hand, with what the stage adds.
const openBuild = useOpenBuild()
const settings = useSettings()
const onBody = useOnBody()
const route = useRoute()
const first = useTemplateRef<InstanceType<typeof SeenOnHer>>('first')
const pane = useTemplateRef<HTMLElement>('pane')
const title = useTemplateRef<HTMLElement>('title')
const { width, height } = useElementSize(pane)

const seen = shallowRef<OnBodySeen>()
const beside = shallowRef<OnBodySeen>()
const failed = ref('')
const against = ref('')
const how = ref<'over' | 'beside'>('beside')
const parts = ref<Part[]>(partsOf(route.name as Stage))
const turn = ref(-25)
const tilt = ref(0)
const zoom = ref(1)
watch(
  () => route.name,
  (stage) => (parts.value = partsOf(stage as Stage)),
)

// the picture behind her, at its scale and turn
const OVER = 0.72
const picture = ref('')
const pictures = computed(() => openBuild.build.brief.pictures)
const poseOf = (id: string) => seen.value?.poses[id]
const pictureItems = computed(() => [
  { value: '', title: 'none' },
  ...pictures.value
    .filter((picture) => poseOf(picture.id))
    .map((picture) => ({ value: picture.id, title: picture.name || 'the picture' })),
])
const laidOver = computed(() => {
  const found = pictures.value.find((one) => one.id === picture.value)
  const pose = found && poseOf(found.id)
  return pose && { found, pose, tall: (pose.mm * found.height_px) / found.width_px }
})
watch(laidOver, (now) => {
  if (!now) return
  turn.value = now.pose.turn_deg
  tilt.value = 0
})

const box = computed(() => (seen.value ? boxOf(seen.value) : undefined))
const view = computed<View>(() => {
  const found = box.value
  const over = laidOver.value
  if (over) {
    const { mm, axis, waist } = over.pose // both from its top left, as shares of its width
    return { turn: turn.value, tilt: 0, tall: over.tall, middle: [(0.5 - axis) * mm, waist * mm - over.tall / 2] }
  }
  const tall = found ? (found.high[1] - found.low[1]) * 1.12 : 600
  const wide = found ? Math.max(found.high[0], found.high[2]) * 2.2 : 400
  const room = sideBySide.value ? width.value / 2 : width.value
  const fits = Math.max(tall, (wide * height.value) / Math.max(room, 1))
  return {
    turn: turn.value,
    tilt: tilt.value,
    tall: fits / zoom.value,
    middle: [0, found ? (found.high[1] + found.low[1]) / 2 : 0],
  }
})
const shownSize = computed(() => {
  const over = laidOver.value
  if (!over) return { width: sideBySide.value ? width.value / 2 : width.value, height: height.value }
  const fits = Math.min(width.value / over.found.width_px, height.value / over.found.height_px)
  return { width: over.found.width_px * fits, height: over.found.height_px * fits }
})

const sideBySide = computed(() => !!beside.value && how.value === 'beside' && !laidOver.value)
const versions = computed(() => [
  { value: '', title: 'nothing' },
  ...openBuild.build.versions
    .filter((version) => version.number !== seen.value?.version)
    .map((version) => ({
      value: String(version.number),
      title: `version ${version.number}${version.name ? `, ${version.name}` : ''}`,
    })),
  ...(openBuild.plan.proposal ? [{ value: 'proposed', title: 'the version that is proposed' }] : []),
])
const nameOf = (which: string) => versions.value.find((version) => version.value === which)?.title ?? ''
const unlike = computed(() =>
  seen.value && beside.value
    ? differences(seen.value, beside.value, (level) => LEVEL_LABELS[level.level]).map((difference) => ({
        ...difference,
        text: `${difference.mm > 0 ? '+' : '−'}${hardware(Math.abs(difference.mm), settings.unit)}`,
      }))
    : [],
)

const moving = ref(false)
const ready = ref(false)

async function ask(which: string): Promise<OnBodySeen | undefined> {
  failed.value = ''
  try {
    return await answer(
      api.GET('/api/builds/{build_id}/body', {
        params: { ...ofBuild(openBuild.here.id).params, query: { version: which } },
      }),
    )
  } catch (error) {
    failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be shown.'
  }
}
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit],
  async () => {
    if (!openBuild.latest) return
    seen.value = (await ask('')) ?? seen.value
    if (against.value) beside.value = await ask(against.value)
  },
  { immediate: true },
)
watch(against, async (which) => (beside.value = which ? await ask(which) : undefined))

onMounted(() => title.value?.focus())

// turned by hand, by keys and by the slider
let from: { x: number; y: number; turn: number; tilt: number } | undefined
function grab(event: PointerEvent) {
  ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  from = { x: event.clientX, y: event.clientY, turn: turn.value, tilt: tilt.value }
  moving.value = true
}
function drag(event: PointerEvent) {
  if (!from) return
  turn.value = turned(from.turn - (event.clientX - from.x) * 0.5)
  if (!laidOver.value) tilt.value = Math.max(-40, Math.min(40, from.tilt + (event.clientY - from.y) * 0.25))
}
function letGo() {
  from = undefined
  moving.value = false
}
const nearer = (by: number) => (zoom.value = Math.max(0.6, Math.min(6, zoom.value * by)))
useEventListener(pane, 'wheel', (event: WheelEvent) => {
  event.preventDefault()
  nearer(Math.exp(-event.deltaY * 0.0015))
})
const by = (deg: number) => (turn.value = turned(turn.value + deg))
async function shut() {
  onBody.shown = false
  await nextTick()
  document.querySelector<HTMLElement>('[data-on-body]')?.focus()
}
useKeys([
  {
    keys: '← →',
    does: 'turn her',
    on: ['ArrowLeft', 'ArrowRight'],
    run: (event) => by(event.key === 'ArrowLeft' ? 15 : -15),
  },
  ...PRESETS.map((preset) => ({
    keys: preset.key,
    does: `seen from: ${preset.name}`,
    on: [preset.key],
    run: () => void (turn.value = preset.turn),
  })),
  { keys: '+ −', does: 'nearer, farther', on: ['+', '-'], run: (event) => nearer(event.key === '+' ? 1.25 : 0.8) },
  { keys: 'Esc', does: 'back to the stage', on: ['Escape'], run: shut },
])

const flip = (part: Part) =>
  (parts.value = parts.value.includes(part) ? parts.value.filter((one) => one !== part) : [...parts.value, part])
const has = computed<Record<Part, boolean>>(() => {
  const whats = new Set([...(seen.value?.lines ?? []), ...(seen.value?.spots ?? [])].map((line) => line.what))
  const any = (...names: string[]) => names.some((name) => whats.has(name))
  return {
    seams: any('seam'),
    bones: any('bone'),
    lacing: any('lace', 'hole'),
    opening: any('opening'),
    trims: any('trim', 'area') || !!seen.value?.patches.some((patch) => ['hanging', 'strap'].includes(patch.name)),
    pressure: !!seen.value?.levels.some((level) => level.kpa != null && level.kpa > 0),
    limits: any('limit'),
  }
})
const PART_WORDS: Record<Part, string> = {
  seams: 'seams',
  bones: 'bones',
  lacing: 'holes and lace',
  opening: 'what opens',
  trims: 'trims',
  pressure: 'pressure',
  limits: 'lap and raised arm',
}
function facing(deg: number) {
  const near = PRESETS.find((preset) => preset.turn === deg)
  return near ? `from: ${near.name}` : `turned ${Math.round(Math.abs(deg))}° to her ${deg > 0 ? 'left' : 'right'}`
}
const base = computed(() => `/api/builds/${openBuild.here.id}/body.svg?turn=${Math.round(turn.value)}`)
async function savePicture() {
  const link = document.createElement('a')
  link.href = await pictureOf(first.value!.png(), laidOver.value?.found)
  link.download = `${openBuild.build.brief.name}-on-her.png`
  link.click()
}
/** What is drawn, over the picture behind it where there is one, as it is shown. */
async function pictureOf(drawn: string, over?: { id: string; width_px: number; height_px: number }) {
  if (!over) return drawn
  const [behind, worn] = await Promise.all([`/api/pictures/${over.id}`, drawn].map(loaded))
  const sheet = document.createElement('canvas')
  sheet.width = over.width_px
  sheet.height = over.height_px
  const on = certain(sheet.getContext('2d'), 'a drawing pen')
  on.drawImage(behind, 0, 0, sheet.width, sheet.height)
  on.globalAlpha = OVER
  on.drawImage(worn, 0, 0, sheet.width, sheet.height)
  return sheet.toDataURL('image/png')
}
async function loaded(source: string) {
  const image = new Image()
  image.src = source
  await image.decode()
  return image
}
</script>

<template>
  <section class="body" aria-label="On the body">
    <div
      ref="pane"
      class="pane"
      :class="{ two: sideBySide }"
      :aria-busy="!ready && !failed"
      @pointerdown="grab"
      @pointermove="drag"
      @pointerup="letGo"
      @pointercancel="letGo"
    >
      <figure :style="{ width: `${shownSize.width}px`, height: `${shownSize.height}px` }">
        <img v-if="laidOver" :src="`/api/pictures/${laidOver.found.id}`" alt="" />
        <SeenOnHer
          ref="first"
          :seen="seen"
          :ghost="sideBySide ? undefined : beside"
          v-bind="{ parts, view, moving, ...shownSize }"
          :label="`The garment on her, ${facing(turn)}`"
          :style="{ opacity: laidOver ? OVER : 1 }"
          @drawn="ready = true"
          @failed="failed = 'This browser shows nothing in space. The drawing (SVG) shows the same.'"
        />
        <figcaption v-if="sideBySide">
          {{ seen?.version ? `version ${seen.version}` : 'the draft' }}
        </figcaption>
      </figure>
      <figure v-if="sideBySide" :style="{ width: `${shownSize.width}px`, height: `${shownSize.height}px` }">
        <SeenOnHer
          :seen="beside"
          v-bind="{ parts, view, moving, ...shownSize }"
          :label="`${nameOf(against)} on her, ${facing(turn)}`"
        />
        <figcaption>{{ nameOf(against) }}</figcaption>
      </figure>
      <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
      <div class="told" :class="{ alone: !box }">
        <p v-for="one in seen?.said ?? []" :key="one" :class="{ soft: box }">{{ one }}</p>
        <v-btn v-if="seen && !box" color="primary" :to="{ name: 'wearer' }" @click="shut">To the measures</v-btn>
      </div>
    </div>
    <aside>
      <header>
        <h1 ref="title" tabindex="-1">On the body</h1>
        <v-btn size="small" variant="outlined" @click="shut">Back<span class="sr"> to the stage</span></v-btn>
      </header>
      <div v-if="box" class="presets" role="group" aria-label="Seen from">
        <button
          v-for="preset in PRESETS"
          :key="preset.name"
          type="button"
          :aria-pressed="turn === preset.turn"
          :title="`Key ${preset.key}`"
          @click="turn = preset.turn"
        >
          {{ preset.name }}
        </button>
      </div>
      <label v-if="box" class="turn"
        ><span class="in">{{ facing(turn)[0].toUpperCase() + facing(turn).slice(1) }}</span>
        <input v-model.number="turn" type="range" min="-180" max="180" step="5" aria-label="Turned by" />
      </label>

      <fieldset v-if="PARTS.some((one) => has[one])">
        <legend>Shown on her</legend>
        <label v-for="part in PARTS.filter((one) => has[one])" :key="part" class="check"
          ><input type="checkbox" :data-part="part" :checked="parts.includes(part)" @change="flip(part)" />
          {{ PART_WORDS[part] }}</label
        >
      </fieldset>
      <ul v-if="parts.includes('pressure') && has.pressure" class="legend" aria-label="How firmly it presses">
        <li v-for="(kind, i) in CLASSES" :key="kind.word" :data-class="kind.word">
          <i :style="{ backgroundColor: CLASS_COLOURS[i] }" :class="`hatch${kind.hatch}`" />{{ kind.word }}
        </li>
      </ul>

      <table v-if="seen?.levels?.length" v-memo="[seen, settings.unit, has.pressure]">
        <caption class="sr">
          Her levels as they are worn
        </caption>
        <thead>
          <tr>
            <th>{{ settings.unit }}</th>
            <th>round</th>
            <th>wide</th>
            <th v-if="has.pressure">kPa</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="level in seen.levels" :key="level.level">
            <th>{{ LEVEL_LABELS[level.level] }}</th>
            <td>{{ length(level.worn_mm, settings.unit, { bare: true }) }}</td>
            <td>{{ length(2 * level.half_mm, settings.unit, { bare: true }) }}</td>
            <td v-if="has.pressure">{{ level.kpa == null ? '' : level.kpa.toFixed(1) }}</td>
          </tr>
        </tbody>
      </table>

      <v-select v-if="pictureItems.length > 1" v-model="picture" label="Over a picture" :items="pictureItems" />
      <v-select v-if="versions.length > 1" v-model="against" label="Against" :items="versions" />
      <template v-if="beside">
        <div class="presets" role="group" aria-label="How two versions are shown">
          <button type="button" :aria-pressed="how === 'beside'" @click="how = 'beside'">side by side</button>
          <button type="button" :aria-pressed="how === 'over'" @click="how = 'over'">one over the other</button>
        </div>
        <table v-if="unlike.length">
          <caption>
            {{
              nameOf(against)[0].toUpperCase() + nameOf(against).slice(1)
            }}
            differs
          </caption>
          <tbody>
            <tr v-for="one in unlike" :key="one.what">
              <th>{{ one.what }}</th>
              <td>{{ one.text }}</td>
            </tr>
          </tbody>
        </table>
        <p v-else class="soft">Both sit alike.</p>
      </template>
      <p v-if="box" class="out">
        <v-btn size="small" variant="outlined" @click="savePicture">Picture (PNG)</v-btn>
        <v-btn size="small" variant="outlined" :href="base" download>Drawing (SVG)</v-btn>
      </p>
    </aside>
  </section>
</template>

<style scoped>
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  height: 100%;
  min-height: 0;
}
.pane {
  position: relative;
  display: flex;
  align-items: center;
  justify-content: center;
  overflow: hidden;
  background: var(--paper);
  cursor: grab;
  touch-action: none;
  min-height: 260px;
}
figure {
  position: relative;
  margin: 0;
  flex: none;
}
figure img {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
figcaption {
  position: absolute;
  left: 0;
  right: 0;
  bottom: 10px;
  text-align: center;
  font-weight: 600;
}
.told {
  position: absolute;
  left: 16px;
  bottom: 12px;
  display: grid;
  gap: 4px;
  justify-items: start;
}
.told p {
  margin: 0;
  padding: 1px 5px;
  background: color-mix(in srgb, var(--paper) 82%, transparent);
}
.told.alone {
  inset: 0;
  place-content: center;
  justify-items: center;
  font-size: 1.1rem;
}
.bad {
  position: absolute;
  top: 16px;
  left: 16px;
  color: var(--takein);
}
aside {
  border-left: 1px solid var(--line);
  background: var(--bench);
  padding: 14px 16px;
  overflow-y: auto;
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h1 {
  font-size: 1.25rem;
  outline: 0;
}
.presets {
  display: flex;
  flex-wrap: wrap;
}
.presets button {
  flex: 1 1 auto;
  padding: 6px 4px;
  font-size: 0.94rem;
  border: 1px solid var(--line);
  background: var(--paper);
  font-family: inherit;
  color: inherit;
  cursor: pointer;
}
.presets button[aria-pressed='true'] {
  background: var(--frame);
  color: var(--on-frame);
}
aside > :deep(.v-input) {
  flex: none;
}
.turn input {
  width: 100%;
}
fieldset {
  border: 0;
  padding: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
}
legend {
  color: var(--steel);
  font-size: 0.88rem;
  padding: 0;
}
.check {
  min-height: 28px;
  display: flex;
  gap: 6px;
  align-items: center;
}
.legend {
  list-style: none;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  font-size: 0.92rem;
}
.legend i {
  display: inline-block;
  width: 26px;
  height: 14px;
  margin-right: 5px;
  vertical-align: -2px;
  border: 1px solid var(--line);
}
.hatch16 {
  background-image: repeating-linear-gradient(45deg, #0007 0 1.2px, transparent 1.2px 16px);
}
.hatch10 {
  background-image: repeating-linear-gradient(45deg, #0007 0 1.2px, transparent 1.2px 10px);
}
.hatch6 {
  background-image: repeating-linear-gradient(45deg, #0007 0 1.2px, transparent 1.2px 6px);
}
.hatch4 {
  background-image:
    repeating-linear-gradient(45deg, #0007 0 1.2px, transparent 1.2px 4px),
    repeating-linear-gradient(-45deg, #0007 0 1.2px, transparent 1.2px 4px);
}
table {
  border-collapse: collapse;
  width: 100%;
}
caption {
  text-align: left;
  font-weight: 600;
}
th {
  text-align: left;
  font-weight: 400;
}
thead th {
  color: var(--steel);
  font-size: 0.88rem;
}
thead th + th,
td {
  text-align: right;
}
tr + tr {
  border-top: 1px solid var(--line);
}
.out {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
@media (max-width: 899px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(300px, 60vh) auto;
    height: auto;
  }
  aside {
    border-left: 0;
  }
}
</style>
